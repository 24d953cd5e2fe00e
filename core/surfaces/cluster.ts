import { polygonHull } from 'd3-polygon'
import type { Chart, Course, GapSample, Point, Sample, Skin, Spot } from './chart.ts'
import { contourAt } from './contour.ts'
import { edgeFinder, edgesOf } from './edges.ts'
import type { Dot } from './outline.ts'

/** One thing of several that stand side by side: where its middle is, how high it stands, and what it is called. */
export interface ClusterPart {
  chart: Chart
  x: number
  y: number
  z: number
  label: string
  /** What its places are stored under: it keeps them when others come or go. */
  tier: number
  /** Which body of the piece it belongs to. */
  body: number
  /** How far a place of the plane is outside its rim, from its own middle, mm; negative within. */
  offMm(x: number, y: number): number
}

/** Faces of one part. */
const FACES = 2
/** A leaf bridges a gap whose rims are at most so far from it, mm, the second at most so much further than the first: else it floats. */
const FURTHEST_MM = 15
const SECOND_MM = 8
const ASIDE_MM = 1

/**
 * The tops of things that stand side by side as one surface: each keeps its own measure, and what is moved off one comes to the
 * next. Places are stored by part, so that they go with it when it is moved.
 */
export function cluster(parts: readonly ClusterPart[]): Chart {
  const partOf = (spot: Spot) => Math.min(parts.length - 1, Math.floor(spot.face / FACES))
  const own = (spot: Spot): Spot => ({ ...spot, face: spot.face % FACES })
  const on = (part: number, spot: Spot): Spot => ({ ...spot, face: part * FACES + spot.face })
  const placed = (part: number, { x, y, z, ...rest }: Point): Point => {
    const p = parts[part]!
    return { ...rest, x: x + p.x, y: y + p.y, z: z + p.z }
  }
  /** How far a place of the plane is from the rims of the nearest two parts, mm; negative within one. */
  const rimsAt = (x: number, y: number) => {
    let [part, first, second] = [0, Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY]
    parts.forEach((p, i) => {
      const mm = p.offMm(x - p.x, y - p.y)
      if (mm < first) {
        second = first
        first = mm
        part = i
      } else if (mm < second) second = mm
    })
    return { part, first, second }
  }
  const point = (spot: Spot) => placed(partOf(spot), parts[partOf(spot)]!.chart.point(own(spot)))
  /** Between the outermost middles of the many: what is beyond them is beside it all, not between. */
  const among = hullOf(parts.filter((p) => p.body === 0))
  const amongAll = (x: number, y: number) => among !== null && among(x, y).off >= 0
  const rims = parts.flatMap((p) => p.chart.above.map((loop) => loop.map((d) => shifted(d, p))))
  const xs = parts.flatMap((p) => [p.x - p.chart.reachMm, p.x + p.chart.reachMm])
  const ys = parts.flatMap((p) => [p.y - p.chart.reachMm, p.y + p.chart.reachMm])
  const half = { x: Math.max(...xs.map(Math.abs)), y: Math.max(...ys.map(Math.abs)) }
  const chart: Chart = {
    point,
    nearest(x, y, z) {
      const { part } = rimsAt(x, y)
      const p = parts[part]!
      return on(part, p.chart.nearest(x - p.x, y - p.y, z - p.z))
    },
    beside(from, x, y, z) {
      const part = partOf(from)
      const p = parts[part]!
      return on(part, p.chart.nearest(x - p.x, y - p.y, z - p.z))
    },
    under(x, y) {
      const { part } = rimsAt(x, y)
      const p = parts[part]!
      return on(part, p.chart.under(x - p.x, y - p.y))
    },
    walk(from, right, down) {
      const at = point(from)
      return chart.under(at.x + right, at.y - down)
    },
    insideMm: (spot) => parts[partOf(spot)]!.chart.insideMm(own(spot)),
    // what is not one of the many is no part of the top that is filled: flowers come there by hand, or scattered
    rimMm(spot) {
      const { chart: inner, body } = parts[partOf(spot)]!
      const mm = inner.rimMm(own(spot))
      if (body === 0) return mm
      const { x, y } = point(spot)
      const off = parts.filter((p) => p.body === 0).map((p) => p.offMm(x - p.x, y - p.y))
      return Math.min(-ASIDE_MM, -Math.min(...off))
    },
    jointMm: () => Number.POSITIVE_INFINITY,
    zoneOf: (spot) => ({ zone: 'top', tier: parts[partOf(spot)]!.tier }),
    store: (spot) => ({ ...parts[partOf(spot)]!.chart.store(own(spot)), tier: parts[partOf(spot)]!.tier }),
    // what stood on a part that is gone comes to another
    read: (place) => {
      const own = parts.findIndex((p) => p.tier === place.tier)
      const part = own >= 0 ? own : place.tier % parts.length
      return on(part, parts[part]!.chart.read({ ...place, zone: 'top', tier: 0 }))
    },
    samples: (stepMm) =>
      parts.flatMap((p, part) =>
        p.chart
          .samples(stepMm)
          .map((s): Sample => ({ ...placed(part, s), spot: on(part, s.spot), mm2: s.mm2 })),
      ),
    skin: () => joined(parts),
    // there is nothing to unroll: it is looked at from above
    unroll(spot) {
      const { x, y } = point(spot)
      return { x, y: half.y - y }
    },
    rollUp: (x, y) => chart.under(x, half.y - y),
    roundMm: 2 * half.x,
    bands: parts.map(({ label, tier }) => ({ zone: 'top', tier, label, fromMm: 0, toMm: 2 * half.y })),
    courses: parts.flatMap((p, part) =>
      p.chart.courses
        .filter((c) => c.id === 'top')
        .map((c): Course => ({ ...c, tier: p.body, at: (mm) => placed(part, c.at(mm)) })),
    ),
    above: rims,
    parts: parts.map(({ x, y }) => ({ x, y })),
    // along whatever stands outermost
    rimLine(insideMm) {
      const hull = hullOf(rims.flat())!
      return contourAt((x, y) => hull(x, y).off, half, insideMm).map(({ x, y }) => chart.under(x, y))
    },
    alone(part) {
      const p = parts[part]!
      return {
        ...chart,
        nearest: (x, y, z) => on(part, p.chart.nearest(x - p.x, y - p.y, z - p.z)),
        under: (x, y) => on(part, p.chart.under(x - p.x, y - p.y)),
        bands: [chart.bands[part]!],
        parts: [{ x: p.x, y: p.y }],
      }
    },
    between(stepMm) {
      const [w, d] = [half.x, half.y].map((mm) => Math.ceil((2 * mm) / stepMm)) as [number, number]
      const found: GapSample[] = []
      for (let i = 0; i < w; i++)
        for (let k = 0; k < d; k++) {
          const [x, y] = [-half.x + (i + 0.5) * stepMm, -half.y + (k + 0.5) * stepMm]
          const { part, first, second } = rimsAt(x, y)
          if (!isGap(first, second) || !amongAll(x, y)) continue
          const { z } = parts[part]!
          const spot = chart.under(x, y)
          found.push({ ...FLAT, x, y, z, spot, mm2: stepMm * stepMm, inside: first })
        }
      return found
    },
    isBetween(x, y) {
      const { first, second } = rimsAt(x, y)
      return isGap(first, second) && amongAll(x, y)
    },
    reachMm: Math.hypot(half.x, half.y),
    top: half,
    highMm: Math.max(...parts.map((p) => p.z + p.chart.highMm)),
  }
  return chart
}

const shifted = ({ x, y }: Dot, by: Dot): Dot => ({ x: x + by.x, y: y + by.y })

/** The narrowest ground without dents around points; null where they lie in a line. */
function hullOf(dots: readonly Dot[]): ReturnType<typeof edgeFinder> | null {
  const hull = polygonHull(dots.map(({ x, y }): [number, number] => [x, y]))
  return hull && edgeFinder(edgesOf([[hull.map(([x, y]) => ({ x, y }))]]))
}

const isGap = (first: number, second: number): boolean =>
  first > 0 && first <= FURTHEST_MM && second - first <= SECOND_MM

const FLAT = { nx: 0, ny: 0, nz: 1, ox: 1, oy: 0, oz: 0 }

/** The skins of all parts as one, each in the colour of its body. */
function joined(parts: readonly ClusterPart[]): Skin {
  const skins = parts.map((p) => ({ p, skin: p.chart.skin() }))
  const points = skins.reduce((sum, { skin }) => sum + skin.tiers.length, 0)
  const positions = new Float32Array(3 * points)
  const normals = new Float32Array(3 * points)
  const tiers = new Uint8Array(points)
  const indices: number[] = []
  let first = 0
  for (const { p, skin } of skins) {
    normals.set(skin.normals, 3 * first)
    tiers.fill(p.body, first, first + skin.tiers.length)
    skin.positions.forEach((mm, i) => {
      positions[3 * first + i] = mm + [p.x, p.y, p.z][i % 3]!
    })
    for (const i of skin.indices) indices.push(first + i)
    first += skin.tiers.length
  }
  return { positions, normals, tiers, indices: Uint32Array.from(indices) }
}
