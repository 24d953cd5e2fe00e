import { strokeDefinition } from '../strokes/index.ts'
import type { Texture } from '../strokes/stroke.ts'
import type { ResolvedLayer } from './layers.ts'
import { aimedView } from './planView.ts'
import type { ViewShape } from './strokeShapes.ts'

/** What shows of a flower from above. */
export interface Seen {
  /** Area in mm² by role and texture; what later strokes hide is not in it. */
  areas: { role: string; texture: Texture; mm2: number }[]
  areaMm2: number
  /** The same by layer; a layer that nobody sees is not in it. */
  layers: ReadonlyMap<string, number>
  /** Length in mm of all edges where one stroke ends at another or at the ground: how much there is to look at. */
  edgesMm: number
}

/** Side of a cell, mm: a dot of 2 mm still covers a handful. */
const CELL_MM = 0.8
const NOTHING = 0

/**
 * What of each role and texture shows from above: the view of what is aimed painted cell by cell, lowest stroke first, and counted.
 */
export function seenFromAbove(layers: readonly ResolvedLayer[]): Seen {
  const known = kept.get(layers)
  if (known) return known
  const shapes = aimedView(layers)
  const grid = gridAround(shapes)
  const textures = new Map(layers.map((l) => [l.layer.id, textureOf(l)]))
  const kinds: { role: string; texture: Texture; mm2: number }[] = []
  const kindOfShape = shapes.map(({ role, layerId }) => {
    const texture = textures.get(layerId)!
    const known = kinds.findIndex((k) => k.role === role && k.texture === texture)
    return known >= 0 ? known : kinds.push({ role, texture, mm2: 0 }) - 1
  })
  // each cell remembers the shape on top of it, counted from 1
  shapes.forEach((shape, i) => {
    paint(grid, shape, i + 1)
  })
  let edges = 0
  const ofLayer = new Map<string, number>()
  const strokeAt = (o: number) => (grid.cells[o] === NOTHING ? -1 : shapes[grid.cells[o]! - 1]!.stroke)
  for (let o = 0; o < grid.cells.length; o++) {
    const on = grid.cells[o]!
    if (on !== NOTHING) {
      kinds[kindOfShape[on - 1]!]!.mm2 += CELL_MM ** 2
      const { layerId } = shapes[on - 1]!
      ofLayer.set(layerId, (ofLayer.get(layerId) ?? 0) + CELL_MM ** 2)
    }
    const stroke = strokeAt(o)
    if ((o + 1) % grid.wide !== 0 && strokeAt(o + 1) !== stroke) edges += CELL_MM
    if (o + grid.wide < grid.cells.length && strokeAt(o + grid.wide) !== stroke) edges += CELL_MM
  }
  const areas = kinds.filter((k) => k.mm2 > 0)
  const areaMm2 = areas.reduce((sum, a) => sum + a.mm2, 0)
  const seen = { areas, areaMm2, layers: ofLayer, edgesMm: edges }
  kept.set(layers, seen)
  return seen
}

/** Fittings are worked out once and kept; what is seen of them as well. */
const kept = new WeakMap<readonly ResolvedLayer[], Seen>()

function textureOf({ layer }: ResolvedLayer): Texture {
  return 'ripple' in layer.stroke && layer.stroke.ripple
    ? 'ruffled'
    : strokeDefinition(layer.stroke.kind).texture
}

interface Grid {
  cells: Uint16Array
  wide: number
  high: number
  /** Lower left corner, mm. */
  x: number
  y: number
}

/** Corners and radius that a shape is painted from. */
const outlineOf = (shape: ViewShape): { points: readonly number[]; radiusMm: number } =>
  shape.kind === 'disc'
    ? { points: [shape.x, shape.y], radiusMm: shape.radiusMm }
    : { points: shape.points, radiusMm: shape.kind === 'rope' ? shape.radiusMm : 0 }

function gridAround(shapes: readonly ViewShape[]): Grid {
  let [left, right, low, high] = [0, 0, 0, 0]
  for (const shape of shapes) {
    const { points, radiusMm } = outlineOf(shape)
    for (let o = 0; o < points.length; o += 2) {
      left = Math.min(left, points[o]! - radiusMm)
      right = Math.max(right, points[o]! + radiusMm)
      low = Math.min(low, points[o + 1]! - radiusMm)
      high = Math.max(high, points[o + 1]! + radiusMm)
    }
  }
  const wide = Math.ceil((right - left) / CELL_MM) + 2
  const tall = Math.ceil((high - low) / CELL_MM) + 2
  return { cells: new Uint16Array(wide * tall), wide, high: tall, x: left - CELL_MM, y: low - CELL_MM }
}

function paint(grid: Grid, shape: ViewShape, mark: number): void {
  if (shape.kind === 'area') {
    paintArea(grid, shape.points, mark)
    return
  }
  const { points, radiusMm } = outlineOf(shape)
  for (let o = 0; o + 3 < points.length; o += 2)
    paintRod(grid, points[o]!, points[o + 1]!, points[o + 2]!, points[o + 3]!, radiusMm, mark)
  if (points.length === 2) paintRod(grid, points[0]!, points[1]!, points[0]!, points[1]!, radiusMm, mark)
}

/** Cells whose centre lies within a polygon, by the winding rule: a petal that folds over itself has no hole. */
function paintArea(grid: Grid, points: readonly number[], mark: number): void {
  const n = points.length / 2
  const crossings: { x: number; turn: number }[] = []
  for (let row = 0; row < grid.high; row++) {
    const y = grid.y + (row + 0.5) * CELL_MM
    crossings.length = 0
    for (let i = 0; i < n; i++) {
      const j = (i + 1) % n
      const [y1, y2] = [points[2 * i + 1]!, points[2 * j + 1]!]
      if (y1 <= y === y2 <= y) continue
      const x1 = points[2 * i]!
      crossings.push({ x: x1 + ((y - y1) / (y2 - y1)) * (points[2 * j]! - x1), turn: y2 > y1 ? 1 : -1 })
    }
    crossings.sort((a, b) => a.x - b.x)
    let winding = 0
    for (let k = 0; k + 1 < crossings.length; k++) {
      winding += crossings[k]!.turn
      if (winding !== 0) fillRow(grid, row, crossings[k]!.x, crossings[k + 1]!.x, mark)
    }
  }
}

function fillRow(grid: Grid, row: number, from: number, to: number, mark: number): void {
  const first = Math.max(0, Math.ceil((from - grid.x) / CELL_MM - 0.5))
  const last = Math.min(grid.wide - 1, Math.floor((to - grid.x) / CELL_MM - 0.5))
  for (let column = first; column <= last; column++) grid.cells[row * grid.wide + column] = mark
}

/** Cells within `radius` of a straight line: a piece of rope, or a dot where both ends are one. */
function paintRod(
  grid: Grid,
  ax: number,
  ay: number,
  bx: number,
  by: number,
  radius: number,
  mark: number,
): void {
  const [dx, dy] = [bx - ax, by - ay]
  const length2 = dx * dx + dy * dy
  const rows = (y: number) => Math.floor((y - grid.y) / CELL_MM)
  const from = Math.max(0, rows(Math.min(ay, by) - radius))
  const to = Math.min(grid.high - 1, rows(Math.max(ay, by) + radius))
  const first = Math.max(0, Math.floor((Math.min(ax, bx) - radius - grid.x) / CELL_MM))
  const last = Math.min(grid.wide - 1, Math.floor((Math.max(ax, bx) + radius - grid.x) / CELL_MM))
  for (let row = from; row <= to; row++)
    for (let column = first; column <= last; column++) {
      const x = grid.x + (column + 0.5) * CELL_MM
      const y = grid.y + (row + 0.5) * CELL_MM
      const t = length2 === 0 ? 0 : Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / length2))
      const [ox, oy] = [x - ax - t * dx, y - ay - t * dy]
      if (ox * ox + oy * oy <= radius * radius) grid.cells[row * grid.wide + column] = mark
    }
}
