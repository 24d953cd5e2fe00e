import { loadDefinition, loadRoles } from '../loads/index.ts'
import { strokeDefinition } from '../strokes/index.ts'
import type { ResolvedLayer } from './layers.ts'

/** One thing to draw of a stroke seen from above; x and y in mm, y up. */
export type StrokeShape = {
  layerId: string
  role: string
  heightMm: number
} & (
  | { kind: 'area'; points: number[]; ridge: number[] }
  | { kind: 'rope'; points: number[]; radiusMm: number; ridged: boolean }
  | { kind: 'disc'; x: number; y: number; radiusMm: number }
)

/** The same in a flower, with the running number of its stroke over the whole flower. */
export type ViewShape = StrokeShape & { stroke: number }

/** A sheet's middle surface: points row by row along the stroke, `U_STEPS` cells across. */
export interface SheetRows {
  points: Float64Array
  tSteps: number
}

/** Cells across a sheet that is drawn. */
export const U_STEPS = 6

/** A sheet seen from above: one outline, or one for each colour that lies across the slot. */
export function sheetShapes({ layer }: ResolvedLayer, { points, tSteps }: SheetRows): StrokeShape[] {
  const at = (t: number, u: number) => {
    const o = (t * (U_STEPS + 1) + u) * 3
    return [points[o]!, points[o + 1]!] as const
  }
  // lying petals overlap in the order they are piped, whatever their rims do; standing ones by how high they reach
  const { texture } = strokeDefinition(layer.stroke.kind)
  const lying = texture === 'lying' || texture === 'leaf'
  const heightMm = lying ? layer.heightMm : meanHeight(points)
  const strip = (from: number, to: number): number[] => {
    const edge: number[] = []
    for (let t = 0; t <= tSteps; t++) edge.push(...at(t, to))
    for (let u = to - 1; u >= from; u--) edge.push(...at(tSteps, u))
    for (let t = tSteps - 1; t >= 0; t--) edge.push(...at(t, from))
    for (let u = from + 1; u < to; u++) edge.push(...at(0, u))
    return edge
  }
  const ridge: number[] = []
  for (let t = 1; t < tSteps; t++) ridge.push(...at(t, U_STEPS - 2))
  const area = (role: string, from: number, to: number): StrokeShape => ({
    kind: 'area',
    layerId: layer.id,
    role,
    heightMm,
    points: strip(from, to),
    ridge,
  })
  // from above only what lies across the slot shows as two colours; of two faces the inner one is seen
  const { pattern, roles, border: at_ } = loadDefinition(layer.load.kind).look(layer.load)
  if (pattern !== 'across' || roles.length < 2)
    return [area(pattern === 'faces' ? roles[0]! : roles.at(-1)!, 0, U_STEPS)]
  const border = Math.min(U_STEPS - 1, Math.max(1, Math.round(at_ * U_STEPS)))
  return [area(roles[1]!, border, U_STEPS), area(roles[0]!, 0, border)]
}

function meanHeight(points: Float64Array): number {
  let sum = 0
  for (let o = 2; o < points.length; o += 3) sum += points[o]!
  return sum / (points.length / 3)
}

/** Contours drawn of a mound, so that petals around it stand between them. */
const CONTOURS = 6

/** Something that rises on the spot: a mound as contours from foot to top, a dot as one disc. */
function discs(path: readonly RopePoint[], mound: boolean) {
  const { x, y } = path[0]!
  if (!mound) {
    const radiusMm = path.reduce((most, p) => Math.max(most, p.r), 0)
    return [{ x, y, radiusMm, heightMm: path[path.length - 1]!.z }]
  }
  return Array.from({ length: CONTOURS }, (_, i) => {
    const at = path[Math.round((i / CONTOURS) * (path.length - 1))]!
    return { x, y, radiusMm: at.r, heightMm: at.z }
  })
}

/** A rope is cut into this many lengths, so that a later turn is drawn over an earlier one. */
const ROPE_LENGTHS = 16

/** Where the middle of a rope runs, and how far it reaches to its sides there, mm. */
export interface RopePoint {
  x: number
  y: number
  z: number
  r: number
}

/** Points along a rope that is drawn, less one. */
export const ROPE_STEPS = ROPE_LENGTHS * 4

/** A rope seen from above: lengths of it, or discs where it rises on the spot. `path` has `ROPE_STEPS + 1` points. */
export function ropeShapes({ layer, tip }: ResolvedLayer, path: readonly RopePoint[]): StrokeShape[] {
  const role = loadRoles(layer.load).at(-1)!
  const base = { layerId: layer.id, role }
  const first = path[0]!
  const last = path[ROPE_STEPS]!
  const widest = path.reduce((most, p) => Math.max(most, p.r), 0)
  if (Math.hypot(last.x - first.x, last.y - first.y) < widest / 2)
    return discs(path, strokeDefinition(layer.stroke.kind).squeezed === 'mound').map((disc) => ({
      ...base,
      kind: 'disc' as const,
      ...disc,
    }))
  return Array.from({ length: ROPE_LENGTHS }, (_, k) => {
    const part = path.slice(k * 4, k * 4 + 5)
    return {
      ...base,
      kind: 'rope' as const,
      points: part.flatMap((p) => [p.x, p.y]),
      radiusMm: Math.max(0.2, part.reduce((sum, p) => sum + p.r, 0) / part.length),
      ridged: tip.opening.family === 'star',
      heightMm: part[0]!.z,
    }
  })
}
