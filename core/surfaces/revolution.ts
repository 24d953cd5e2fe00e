import { seeded } from '../random.ts'
import {
  type Anchor,
  type Band,
  type Chart,
  type Course,
  ONE_PART,
  type Place,
  type Point,
  type Sample,
  type Skin,
  type Spot,
  upright,
} from './chart.ts'
import type { Loop } from './outline.ts'
import { cutAt, nearestOn, type Stretch } from './profile.ts'

/** What a round piece is made of, from the middle of its top outward and down. */
export interface Outline {
  stretches: readonly Stretch[]
  /** An inner corner at the end of this stretch, where a tier stands on the one below. */
  joints: ReadonlySet<number>
  /** Nothing may stand within the beginning of the outline: something else stands there. */
  walled: boolean
  labelOf(zone: 'top' | 'side', tier: number): string
  /** Seen too, but nothing is placed there: the wall of a hole. */
  bare?: readonly Stretch[]
}

/** Halvings that find a place to less than anybody sees. */
const HALVINGS = 40
const NOTHING_MM = 1e-6

interface Mark {
  anchor: Anchor
  zone: 'top' | 'side'
  tier: number
  u: number
  /** Which way from the mark the zone lies along the outline. */
  way: 1 | -1
}

/**
 * A surface that is round about the z axis. A spot is the way down the outline from its beginning, and the angle about the
 * middle.
 */
export function revolution(outline: Outline): Chart {
  const { stretches, joints } = outline
  const starts: number[] = []
  let total = 0
  for (const stretch of stretches) {
    starts.push(total)
    total += stretch.lengthMm
  }
  const indexAt = (u: number) => {
    let i = stretches.length - 1
    while (i > 0 && starts[i]! > u) i--
    return i
  }
  const within = (u: number) => Math.min(total, Math.max(0, u))
  const cut = (u: number) => {
    const i = indexAt(within(u))
    return cutAt(stretches[i]!, Math.min(stretches[i]!.lengthMm, within(u) - starts[i]!))
  }
  const jointsAt = stretches.flatMap((stretch, i) => (joints.has(i) ? [starts[i]! + stretch.lengthMm] : []))
  const zoneAt = (u: number) => {
    const { zone, tier } = stretches[indexAt(within(u))]!
    return { zone, tier }
  }
  const marks = marksOf(stretches, starts, outline.walled)
  const zoneEnds = (zone: 'top' | 'side', tier: number) => {
    const own = stretches.flatMap((s, i) => (s.zone === zone && s.tier === tier ? [i] : []))
    if (own.length === 0) return null
    const last = own.at(-1)!
    return { from: starts[own[0]!]!, to: starts[last]! + stretches[last]!.lengthMm }
  }
  const reachMm = Math.max(...stretches.map((s) => Math.max(cutAt(s, 0).r, cutAt(s, s.lengthMm).r)))
  const highMm = Math.max(...stretches.map((s) => Math.max(cutAt(s, 0).z, cutAt(s, s.lengthMm).z)))

  /** How far down the outline it is seen from above at this distance from the middle. */
  const underAt = (r: number) => {
    for (const [i, stretch] of stretches.entries()) {
      // as far as the way goes outward; what turns back in is under it
      const outward =
        stretch.kind === 'arc' ? stretch.radius * (stretch.from - Math.max(0, stretch.to)) : stretch.lengthMm
      if (cutAt(stretch, outward).r < r - NOTHING_MM) continue
      let [low, high] = [0, outward]
      for (let k = 0; k < HALVINGS; k++) {
        const mid = (low + high) / 2
        if (cutAt(stretch, mid).r < r) low = mid
        else high = mid
      }
      return starts[i]! + high
    }
    return zoneEnds('top', stretches.findLast((s) => s.zone === 'top')!.tier)!.to
  }
  const topRim = zoneEnds('top', Math.max(...stretches.map((s) => s.tier)))!.to

  const point = ({ a: u, b: v }: Spot): Point => {
    const { r, z, nr, nz } = cut(u)
    const [c, s] = [Math.cos(v), Math.sin(v)]
    return { x: r * c, y: r * s, z, nx: nr * c, ny: nr * s, nz, ox: nz * c, oy: nz * s, oz: -nr }
  }
  const chart: Chart = {
    point,
    nearest(x, y, z) {
      const r = Math.hypot(x, y)
      let best = { u: 0, offMm: Number.POSITIVE_INFINITY }
      stretches.forEach((stretch, i) => {
        const { mm, offMm } = nearestOn(stretch, r, z)
        if (offMm < best.offMm - 1e-9) best = { u: starts[i]! + mm, offMm }
      })
      return { face: 0, a: best.u, b: r > 1e-9 ? Math.atan2(y, x) : 0 }
    },
    walk(from, right, down) {
      const { r } = cut(from.a)
      if (zoneAt(from.a).zone === 'side' && r > 0)
        return { face: 0, a: within(from.a + down), b: from.b + right / r }
      const at = point(from)
      const { rx, ry, rz, dx, dy, dz } = upright(at)
      return chart.nearest(
        at.x + right * rx + down * dx,
        at.y + right * ry + down * dy,
        at.z + right * rz + down * dz,
      )
    },
    under: (x, y) => ({ face: 0, a: underAt(Math.hypot(x, y)), b: Math.atan2(y, x) }),
    insideMm: ({ a }) => Math.min(total - a, outline.walled ? a : Number.POSITIVE_INFINITY),
    jointMm: ({ a }) => Math.min(Number.POSITIVE_INFINITY, ...jointsAt.map((u) => Math.abs(u - a))),
    rimMm: ({ a }) => Math.min(topRim - a, outline.walled ? a : Number.POSITIVE_INFINITY),
    zoneOf: ({ a }) => zoneAt(a),
    store({ a, b }): Place {
      const { zone, tier } = zoneAt(a)
      const own = marks.filter((m) => m.zone === zone && m.tier === tier)
      const mark = own.reduce((best, m) => (Math.abs(m.u - a) < Math.abs(best.u - a) ? m : best))
      return { zone, tier, from: mark.anchor, a: (a - mark.u) * mark.way, b: (b * 180) / Math.PI }
    },
    read({ zone, tier, from, a, b }): Spot {
      const top = Math.max(...stretches.map((s) => s.tier))
      const there = Math.min(tier, top)
      // a ledge that is gone, or a side that a cookie has not got
      const other = zone === 'top' ? 'side' : 'top'
      const ends = zoneEnds(zone, there) ?? zoneEnds(other, there)!
      const own = marks.filter((m) => m.zone === zone && m.tier === there)
      const mark = own.find((m) => m.anchor === from) ?? own[0]
      // a zone that has become shorter than the way to a place takes it at its far end
      const u = mark ? mark.u + a * mark.way : ends.from
      return { face: 0, a: Math.min(ends.to, Math.max(ends.from, u)), b: (b * Math.PI) / 180 }
    },
    samples: (stepMm) => samplesOf(total, stepMm, cut, point),
    skin: () => skinOf([...stretches, ...(outline.bare ?? [])]),
    unroll: ({ a, b }) => ({ x: frontAngle(b) * reachMm, y: a }),
    rollUp: (x, y) => ({ face: 0, a: within(y), b: x / reachMm - Math.PI / 2 }),
    roundMm: 2 * Math.PI * reachMm,
    bands: bandsOf(stretches, starts, outline),
    courses: coursesOf(stretches, starts, point),
    above: [
      ...coursesOf(stretches, starts, point).flatMap((course) =>
        course.id === 'top' ? [around(Math.hypot(course.at(0).x, course.at(0).y))] : [],
      ),
      ...(outline.bare ?? []).map((wall) => around(cutAt(wall, 0).r).toReversed()),
    ],
    ...ONE_PART,
    alone: () => chart,
    beside: (_, x, y, z) => chart.nearest(x, y, z),
    rimLine: (inside) =>
      Array.from({ length: RIM_POINTS + 1 }, (_, i) => ({
        face: 0,
        a: Math.max(0, topRim - inside),
        b: (2 * Math.PI * i) / RIM_POINTS,
      })),
    reachMm,
    top: { x: cut(topRim).r, y: cut(topRim).r },
    highMm,
  }
  return chart
}

const RIM_POINTS = 72

const around = (r: number): Loop =>
  Array.from({ length: RIM_POINTS }, (_, i) => ({
    x: r * Math.cos((2 * Math.PI * i) / RIM_POINTS),
    y: r * Math.sin((2 * Math.PI * i) / RIM_POINTS),
  }))

/** An angle about the middle counted from the front, -π to π, to the right positive. */
function frontAngle(v: number): number {
  const turned = v + Math.PI / 2
  return turned - 2 * Math.PI * Math.round(turned / (2 * Math.PI))
}

function marksOf(stretches: readonly Stretch[], starts: readonly number[], walled: boolean): Mark[] {
  return stretches.flatMap((stretch, i): Mark[] => {
    const { zone, tier, lengthMm } = stretch
    const before = stretches[i - 1]
    const after = stretches[i + 1]
    const marks: Mark[] = []
    if (!before || before.zone !== zone || before.tier !== tier) {
      const anchor: Anchor = zone === 'side' ? 'rim' : before || walled ? 'joint' : 'middle'
      marks.push({ anchor, zone, tier, u: starts[i]!, way: 1 })
    }
    if (!after || after.zone !== zone || after.tier !== tier) {
      marks.push({ anchor: zone === 'side' ? 'foot' : 'rim', zone, tier, u: starts[i]! + lengthMm, way: -1 })
    }
    return marks
  })
}

function samplesOf(
  total: number,
  stepMm: number,
  cut: (u: number) => { r: number },
  point: (spot: Spot) => Point,
): Sample[] {
  const rows = Math.max(1, Math.ceil(total / stepMm))
  const high = total / rows
  // rows that begin anywhere show no seam that a school could fall into
  const random = seeded(rows)
  return Array.from({ length: rows }, (_, i) => {
    const u = (i + 0.5) * high
    const round = 2 * Math.PI * cut(u).r
    const count = Math.max(1, Math.round(round / stepMm))
    const begin = random() * 2 * Math.PI
    return Array.from({ length: count }, (__, k): Sample => {
      const spot = { face: 0, a: u, b: begin + (2 * Math.PI * k) / count }
      return Object.assign(point(spot), { spot, mm2: (round * high) / count })
    })
  }).flat()
}

/** Posts once round, and rows to a bend. */
const POSTS = 96
const ROWS = 7

function skinOf(stretches: readonly Stretch[]): Skin {
  const positions: number[] = []
  const normals: number[] = []
  const tiers: number[] = []
  const indices: number[] = []
  for (const stretch of stretches) {
    const rows = stretch.kind === 'arc' ? ROWS : 1
    const first = positions.length / 3
    for (let i = 0; i <= rows; i++) {
      const { r, z, nr, nz } = cutAt(stretch, (stretch.lengthMm * i) / rows)
      for (let k = 0; k <= POSTS; k++) {
        const v = (2 * Math.PI * k) / POSTS
        positions.push(r * Math.cos(v), r * Math.sin(v), z)
        normals.push(nr * Math.cos(v), nr * Math.sin(v), nz)
        tiers.push(stretch.tier)
      }
    }
    for (let i = 0; i < rows; i++)
      for (let k = 0; k < POSTS; k++) {
        const a = first + i * (POSTS + 1) + k
        const b = a + POSTS + 1
        indices.push(a, b, b + 1, a, b + 1, a + 1)
      }
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    tiers: Uint8Array.from(tiers),
    indices: Uint32Array.from(indices),
  }
}

function bandsOf(stretches: readonly Stretch[], starts: readonly number[], outline: Outline): Band[] {
  const bands: Band[] = []
  stretches.forEach(({ zone, tier, lengthMm }, i) => {
    const open = bands.at(-1)
    if (open?.zone === zone && open.tier === tier) open.toMm += lengthMm
    else
      bands.push({
        zone,
        tier,
        label: outline.labelOf(zone, tier),
        fromMm: starts[i]!,
        toMm: starts[i]! + lengthMm,
      })
  })
  return bands
}

/** Rims run where a top ends, feet where a side does. */
function coursesOf(
  stretches: readonly Stretch[],
  starts: readonly number[],
  point: (spot: Spot) => Point,
): Course[] {
  const course = (id: Course['id'], tier: number, u: number): Course => {
    const { x, y } = point({ face: 0, a: u, b: 0 })
    const r = Math.hypot(x, y)
    return {
      id,
      tier,
      lengthMm: 2 * Math.PI * r,
      at: (mm) => point({ face: 0, a: u, b: Math.PI / 2 - mm / r }),
    }
  }
  return stretches.flatMap((stretch, i) => {
    const after = stretches[i + 1]
    if (after && after.zone === stretch.zone && after.tier === stretch.tier) return []
    return [course(stretch.zone === 'top' ? 'top' : 'foot', stretch.tier, starts[i]! + stretch.lengthMm)]
  })
}
