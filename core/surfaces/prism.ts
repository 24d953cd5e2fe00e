import type { Chart, Course, Place, Point, Sample, Skin, Spot } from './chart.ts'

/** A piece that is the same all the way up: its outline seen from above, anticlockwise, and its height, mm. */
export interface Prism {
  outline: readonly { x: number; y: number }[]
  heightMm: number
  topLabel: string
  sideLabel: string
}

const TOP = 0
const SIDE = 1
/** Icing rounds an edge over so many mm on either side of it: what stands there leans outward. */
const ROUND_MM = 6

interface Edge {
  x: number
  y: number
  dx: number
  dy: number
  /** Outward. */
  nx: number
  ny: number
  lengthMm: number
  startMm: number
}

/** A surface with a flat top of any outline and upright sides. A spot on top is (x, y), on a side (down, along the outline). */
export function prism({ outline, heightMm, topLabel, sideLabel }: Prism): Chart {
  const edges: Edge[] = []
  let round = 0
  outline.forEach((from, i) => {
    const to = outline[(i + 1) % outline.length]!
    const lengthMm = Math.hypot(to.x - from.x, to.y - from.y)
    if (lengthMm === 0) return
    const [dx, dy] = [(to.x - from.x) / lengthMm, (to.y - from.y) / lengthMm]
    edges.push({ ...from, dx, dy, nx: dy, ny: -dx, lengthMm, startMm: round })
    round += lengthMm
  })
  const halfX = Math.max(...outline.map((p) => Math.abs(p.x)))
  const halfY = Math.max(...outline.map((p) => Math.abs(p.y)))

  /** The nearest place of the outline to a point of the plane; off is negative outside. */
  const toOutline = (x: number, y: number) => {
    let inside = false
    let least = Number.POSITIVE_INFINITY
    let at = edges[0]!
    let s = 0
    for (const edge of edges) {
      const along = Math.min(edge.lengthMm, Math.max(0, (x - edge.x) * edge.dx + (y - edge.y) * edge.dy))
      const ax = edge.x + along * edge.dx - x
      const ay = edge.y + along * edge.dy - y
      const off = ax * ax + ay * ay
      if (off < least) {
        least = off
        at = edge
        s = edge.startMm + along
      }
      const y0 = edge.y
      const y1 = y0 + edge.dy * edge.lengthMm
      if (y0 > y !== y1 > y && x < edge.x + ((y - y0) / (y1 - y0)) * edge.dx * edge.lengthMm) inside = !inside
    }
    const off = Math.sqrt(least)
    return { s, off: inside ? off : -off, edge: at }
  }
  const edgeAt = (s: number): Edge => {
    const at = ((s % round) + round) % round
    return edges.findLast((e) => e.startMm <= at) ?? edges[0]!
  }
  const point = ({ face, a, b }: Spot): Point => {
    if (face === TOP) {
      const { off, edge } = toOutline(a, b)
      return onTop(a, b, heightMm, edge, 0.5 * Math.max(0, 1 - Math.max(0, off) / ROUND_MM))
    }
    const edge = edgeAt(b)
    const along = (((b % round) + round) % round) - edge.startMm
    const share = 1 - 0.5 * Math.max(0, 1 - a / ROUND_MM)
    return leaning(edge.x + along * edge.dx, edge.y + along * edge.dy, heightMm - a, edge, share)
  }
  const chart: Chart = {
    point,
    nearest(x, y, z) {
      const { s, off } = toOutline(x, y)
      const above = z - heightMm
      if (off >= 0 && (above >= 0 || off > -above)) return { face: TOP, a: x, b: y }
      if (off < 0 && above >= 0 && above > -off) {
        const edge = edgeAt(s)
        const along = s - edge.startMm
        return { face: TOP, a: edge.x + along * edge.dx, b: edge.y + along * edge.dy }
      }
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
    skin: () => skinOf(edges, heightMm),
    unroll: (spot) =>
      spot.face === SIDE
        ? { x: fromFront(spot.b), y: spot.a }
        : { x: fromFront(toOutline(spot.a, spot.b).s), y: -toOutline(spot.a, spot.b).off },
    rollUp(x, y) {
      if (y >= 0) return { face: SIDE, a: Math.min(heightMm, y), b: x + frontMm }
      const edge = edgeAt(x + frontMm)
      const along = ((((x + frontMm) % round) + round) % round) - edge.startMm
      return {
        face: TOP,
        a: edge.x + along * edge.dx + y * edge.nx,
        b: edge.y + along * edge.dy + y * edge.ny,
      }
    },
    roundMm: round,
    bands: [
      { zone: 'top', tier: 0, label: topLabel, fromMm: -Math.min(halfX, halfY), toMm: 0 },
      { zone: 'side', tier: 0, label: sideLabel, fromMm: 0, toMm: heightMm },
    ],
    courses: (['top', 'foot'] as const).map(
      (id): Course => ({
        id,
        tier: 0,
        lengthMm: round,
        // anticlockwise outlines are gone round the other way
        at: (mm) => point({ face: SIDE, a: id === 'top' ? 0 : heightMm, b: backMm - mm }),
      }),
    ),
    top: { x: halfX, y: halfY },
    reachMm: Math.hypot(halfX, halfY),
    highMm: heightMm,
  }
  const sOfLine = (y: number) => toOutline(0, y).s
  const frontMm = sOfLine(-halfY)
  const backMm = sOfLine(halfY)
  const fromFront = (s: number) => {
    const turned = s - frontMm
    return turned - round * Math.round(turned / round)
  }
  return chart
}

/** The top as a fan about its middle, and a wall for every edge. */
function skinOf(edges: readonly Edge[], heightMm: number): Skin {
  const positions = [0, 0, heightMm]
  const normals = [0, 0, 1]
  const indices: number[] = []
  for (const { x, y } of edges) {
    positions.push(x, y, heightMm)
    normals.push(0, 0, 1)
  }
  for (let i = 0; i < edges.length; i++) indices.push(0, 1 + i, 1 + ((i + 1) % edges.length))
  for (const { x, y, dx, dy, nx, ny, lengthMm } of edges) {
    const first = positions.length / 3
    for (const along of [0, lengthMm])
      for (const z of [0, heightMm]) {
        positions.push(x + along * dx, y + along * dy, z)
        normals.push(nx, ny, 0)
      }
    indices.push(first, first + 2, first + 3, first, first + 3, first + 1)
  }
  return {
    positions: Float32Array.from(positions),
    normals: Float32Array.from(normals),
    indices: Uint32Array.from(indices),
    tiers: new Uint8Array(positions.length / 3),
  }
}

/** A point that faces between up (0) and out over an edge (1); its "outward" is the edge's. */
function leaning(x: number, y: number, z: number, edge: Edge, share: number): Point {
  const c = Math.cos((share * Math.PI) / 2)
  const s = Math.sin((share * Math.PI) / 2)
  const { nx, ny } = edge
  return { x, y, z, nx: nx * s, ny: ny * s, nz: c, ox: nx * c, oy: ny * c, oz: -s }
}

/**
 * A point on top. "Outward" there is away from the middle, so that a thing that is moved about on it turns with its place and
 * never jumps.
 */
function onTop(x: number, y: number, z: number, edge: Edge, share: number): Point {
  const s = share > 0 ? Math.sin((share * Math.PI) / 2) : 0
  const nz = share > 0 ? Math.cos((share * Math.PI) / 2) : 1
  const nx = edge.nx * s
  const ny = edge.ny * s
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
