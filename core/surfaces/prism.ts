import { type Chart, type Course, ONE_PART, type Place, type Point, type Sample, type Spot } from './chart.ts'
import { contourAt } from './contour.ts'
import { edgeFinder, edgesOf, loopsOf, type PrismEdge } from './edges.ts'
import { acrossMm, type Cutout, type Dot, roundMm } from './outline.ts'
import { prismSkin } from './prismSkin.ts'

/** A piece that is the same all the way up: what it looks like from above, and its height, mm; 0 for what has no sides. */
export interface Prism {
  shapes: readonly Cutout[]
  heightMm: number
  topLabel: string
  sideLabel: string
}

const TOP = 0
const SIDE = 1
/** Icing rounds an edge over so many mm on either side of it: what stands there leans outward. */
const ROUND_MM = 6
/** Over so many mm to either side it is felt for where the edge is. */
const FEEL_MM = 1.5
const AWAY: Dot = { x: 0, y: 0 }

/** A surface with a flat top of any outline and upright sides. A spot on top is (x, y), on a side (down, along the outline). */
export function prism({ shapes, heightMm, topLabel, sideLabel }: Prism): Chart {
  const edges = edgesOf(shapes)
  const points: readonly Dot[] = shapes.flat(2)
  /** Once round everything that has a side. */
  const round = shapes.reduce((sum, [edge]) => sum + roundMm(edge!), 0)
  const halfX = Math.max(...points.map((p) => Math.abs(p.x)))
  const halfY = Math.max(...points.map((p) => Math.abs(p.y)))

  const toOutline = edgeFinder(edges)
  const edgeAt = (s: number): PrismEdge => {
    const at = ((s % round) + round) % round
    return edges.findLast((e) => e.startMm <= at) ?? edges[0]!
  }
  const onEdge = (edge: PrismEdge, s: number): Spot => {
    const along = s - edge.startMm
    return { face: TOP, a: edge.x + along * edge.dx, b: edge.y + along * edge.dy }
  }
  /** Which way the nearest edge lies; between two it turns from one to the other, shorter the more they differ. */
  const outwardAt = (x: number, y: number): Dot => ({
    x: (toOutline(x - FEEL_MM, y).off - toOutline(x + FEEL_MM, y).off) / (2 * FEEL_MM),
    y: (toOutline(x, y - FEEL_MM).off - toOutline(x, y + FEEL_MM).off) / (2 * FEEL_MM),
  })
  const point = ({ face, a, b }: Spot): Point => {
    if (face === TOP) {
      const { off } = toOutline(a, b)
      const share = 0.5 * Math.max(0, 1 - Math.max(0, off) / ROUND_MM)
      return onTop(a, b, heightMm, share > 0 ? outwardAt(a, b) : AWAY, share)
    }
    const edge = edgeAt(b)
    const along = (((b % round) + round) % round) - edge.startMm
    const share = 1 - 0.5 * Math.max(0, 1 - a / ROUND_MM)
    return leaning(edge.x + along * edge.dx, edge.y + along * edge.dy, heightMm - a, edge, share)
  }
  const chart: Chart = {
    point,
    nearest(x, y, z) {
      const { s, off, edge } = toOutline(x, y)
      const above = z - heightMm
      if (off >= 0 && (above >= 0 || off > -above || heightMm === 0)) return { face: TOP, a: x, b: y }
      if (edge.hole || heightMm === 0 || (off < 0 && above >= 0 && above > -off)) return onEdge(edge, s)
      return { face: SIDE, a: Math.min(heightMm, Math.max(0, -above)), b: s }
    },
    walk(from, right, down) {
      if (from.face === SIDE)
        return { face: SIDE, a: Math.min(heightMm, Math.max(0, from.a + down)), b: from.b + right }
      // on a top, right and down are what they are to whoever looks at it from the front
      return { face: TOP, a: from.a + right, b: from.b - down }
    },
    under: (x, y) => (toOutline(x, y).off >= 0 ? { face: TOP, a: x, b: y } : chart.nearest(x, y, heightMm)),
    insideMm: ({ face, a, b }) =>
      face === SIDE ? heightMm - a : Math.max(toOutline(a, b).off, 0) + heightMm,
    rimMm: ({ face, a, b }) => (face === TOP ? toOutline(a, b).off : -a),
    jointMm: () => Number.POSITIVE_INFINITY,
    zoneOf: ({ face }) => ({ zone: face === TOP ? 'top' : 'side', tier: 0 }),
    store({ face, a, b }): Place {
      if (face === TOP) return { zone: 'top', tier: 0, from: 'middle', a: a / halfX, b: b / halfY }
      const fromFoot = a > heightMm / 2
      return {
        zone: 'side',
        tier: 0,
        from: fromFoot ? 'foot' : 'rim',
        a: fromFoot ? heightMm - a : a,
        b: b / round,
      }
    },
    read({ zone, from, a, b }): Spot {
      if (zone === 'top') return { face: TOP, a: a * halfX, b: b * halfY }
      const down = from === 'foot' ? heightMm - a : a
      return { face: SIDE, a: Math.min(heightMm, Math.max(0, down)), b: b * round }
    },
    samples(stepMm): Sample[] {
      const samples: Sample[] = []
      const put = (spot: Spot, mm2: number) => samples.push(Object.assign(point(spot), { spot, mm2 }))
      const [across, deep] = [Math.ceil((2 * halfX) / stepMm), Math.ceil((2 * halfY) / stepMm)]
      const [w, d] = [(2 * halfX) / across, (2 * halfY) / deep]
      for (let i = 0; i < across; i++)
        for (let k = 0; k < deep; k++) {
          const [x, y] = [-halfX + (i + 0.5) * w, -halfY + (k + 0.5) * d]
          if (toOutline(x, y).off >= 0) put({ face: TOP, a: x, b: y }, w * d)
        }
      const [rows, posts] = [Math.ceil(heightMm / stepMm), Math.ceil(round / stepMm)]
      for (let i = 0; i < rows; i++)
        for (let k = 0; k < posts; k++)
          put(
            { face: SIDE, a: ((i + 0.5) * heightMm) / rows, b: ((k + 0.5) * round) / posts },
            (heightMm * round) / (rows * posts),
          )
      return samples
    },
    skin: () => prismSkin(shapes, edges, heightMm),
    unroll: (spot) =>
      spot.face === SIDE
        ? { x: fromFront(spot.b), y: spot.a }
        : { x: fromFront(toOutline(spot.a, spot.b).s), y: -toOutline(spot.a, spot.b).off },
    rollUp(x, y) {
      if (y >= 0) return { face: SIDE, a: Math.min(heightMm, y), b: x + frontMm }
      const edge = edgeAt(x + frontMm)
      const along = ((((x + frontMm) % round) + round) % round) - edge.startMm
      const a = edge.x + along * edge.dx + y * edge.nx
      const b = edge.y + along * edge.dy + y * edge.ny
      // deeper than the top is wide there: as far as there is cake
      const { s, off, edge: rim } = toOutline(a, b)
      return off >= 0 ? { face: TOP, a, b } : onEdge(rim, s)
    },
    roundMm: round,
    bands: [
      { zone: 'top', tier: 0, label: topLabel, fromMm: -acrossMm(shapes) / 2, toMm: 0 },
      ...(heightMm > 0
        ? [{ zone: 'side' as const, tier: 0, label: sideLabel, fromMm: 0, toMm: heightMm }]
        : []),
    ],
    courses: coursesOf(edges, heightMm),
    above: loopsOf(edges).map((loop) => loop.map(({ x, y }) => ({ x, y }))),
    ...ONE_PART,
    alone: () => chart,
    beside: (_, x, y, z) => chart.nearest(x, y, z),
    rimLine: (insideMm) =>
      contourAt((x, y) => toOutline(x, y).off, { x: halfX, y: halfY }, insideMm).map(({ x, y }) => ({
        face: TOP,
        a: x,
        b: y,
      })),
    top: { x: halfX, y: halfY },
    reachMm: Math.hypot(halfX, halfY),
    highMm: heightMm,
  }
  const sOfLine = (y: number) => toOutline(0, y).s
  const frontMm = sOfLine(-halfY)
  const fromFront = (s: number) => {
    const turned = s - frontMm
    return turned - round * Math.round(turned / round)
  }
  return chart
}

/** A rim round every edge and hole, a foot round every edge. */
function coursesOf(edges: readonly PrismEdge[], heightMm: number): Course[] {
  return loopsOf(edges).flatMap((loop) =>
    (['top', 'foot'] as const)
      .filter((id) => id === 'top' || (heightMm > 0 && !loop[0]!.hole))
      .map((id): Course => {
        const startMm = loop[0]!.startMm
        const lengthMm = loop.reduce((sum, e) => sum + e.lengthMm, 0)
        const beginsAt = backOf(loop) - startMm
        return {
          id,
          tier: 0,
          lengthMm,
          // lines that are gone round against the clock are gone round the other way
          at: (mm) => {
            const s = startMm + ((((beginsAt - mm) % lengthMm) + lengthMm) % lengthMm)
            const edge = loop.findLast((e) => e.startMm <= s) ?? loop[0]!
            const along = s - edge.startMm
            const [x, y] = [edge.x + along * edge.dx, edge.y + along * edge.dy]
            return leaning(x, y, id === 'top' ? heightMm : 0, edge, id === 'top' ? 0.5 : 1)
          },
        }
      }),
  )
}

/** Where on a closed line a border begins: behind the middle, or where it is furthest back if it lies beside the middle. */
function backOf(loop: readonly PrismEdge[]): number {
  const across = loop.flatMap(({ x, y, dx, dy, lengthMm, startMm }) => {
    const along = dx === 0 ? Number.NaN : -x / dx
    return along >= 0 && along <= lengthMm ? [{ s: startMm + along, y: y + along * dy }] : []
  })
  const ends = across.length > 0 ? across : loop.map(({ startMm, y }) => ({ s: startMm, y }))
  return ends.reduce((p, q) => (q.y > p.y ? q : p)).s
}

/** A point that faces between up (0) and out over an edge (1); its "outward" is the edge's. */
function leaning(x: number, y: number, z: number, edge: PrismEdge, share: number): Point {
  const c = Math.cos((share * Math.PI) / 2)
  const s = Math.sin((share * Math.PI) / 2)
  const { nx, ny } = edge
  return { x, y, z, nx: nx * s, ny: ny * s, nz: c, ox: nx * c, oy: ny * c, oz: -s }
}

/**
 * A point on top. "Outward" there is away from the middle, so that a thing that is moved about on it turns with its place and
 * never jumps.
 */
function onTop(x: number, y: number, z: number, outward: Dot, share: number): Point {
  const long = Math.sqrt(outward.x * outward.x + outward.y * outward.y)
  const tilt = (Math.min(1, long) * share * Math.PI) / 2
  const s = long > 1e-9 ? Math.sin(tilt) / long : 0
  const nz = Math.cos(tilt)
  const nx = outward.x * s
  const ny = outward.y * s
  const away = Math.sqrt(x * x + y * y)
  const rx = away > 1e-9 ? x / away : 1
  const ry = away > 1e-9 ? y / away : 0
  const dot = rx * nx + ry * ny
  const length = Math.sqrt(Math.max(1e-12, 1 - dot * dot))
  return {
    x,
    y,
    z,
    nx,
    ny,
    nz,
    ox: (rx - dot * nx) / length,
    oy: (ry - dot * ny) / length,
    oz: (-dot * nz) / length,
  }
}
