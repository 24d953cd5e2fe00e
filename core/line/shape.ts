import { newPiece } from '../orders/new.ts'
import { type Surface, surfaceDefinition } from '../surfaces/index.ts'
import type { MeantPiece } from './meant.ts'

/** The measures that a kind of piece is said by, in the order in which they are said. */
const SAID: Partial<Record<Surface['kind'], readonly string[]>> = {
  cupcake: ['diameterMm'],
  cookie: ['diameterMm'],
  hexagon: ['diameterMm', 'heightMm'],
  sheet: ['lengthMm', 'widthMm', 'heightMm'],
  heart: ['widthMm', 'heightMm'],
  ring: ['diameterMm', 'holeMm', 'heightMm'],
  number: ['tallMm', 'heightMm'],
}

/** The shape of a piece as it was said; what was not said, and what cannot be, is as usual. */
export function shapeOf({ kind, mm, times, digits, tiers: said }: MeantPiece): Surface {
  const usual = newPiece('new', kind).shape
  const fits = (shape: object): Surface | null => {
    const parsed = surfaceDefinition(kind).schema.safeParse(shape)
    return parsed.success ? (parsed.data as Surface) : null
  }
  if (usual.kind === 'cake' && (mm.length > 0 || said !== null)) {
    const { heightMm } = usual.tiers[0]!
    const tiers = times
      ? [{ diameterMm: mm[0]!, heightMm: mm[1] ?? heightMm }]
      : stacked(mm, said ?? mm.length).map((diameterMm) => ({ diameterMm, heightMm }))
    return fits({ ...usual, tiers }) ?? usual
  }
  const measured = Object.fromEntries((SAID[kind] ?? []).flatMap((key, i) => (mm[i] ? [[key, mm[i]]] : [])))
  return fits({ ...usual, ...measured, ...(digits && kind === 'number' ? { digits } : {}) }) ?? usual
}

/** A tier is so much wider than the one on it, and the top one so wide, where nobody says: mm. */
const STEP_MM = 60
const TOP_MM = 150

/** Widths of tiers from the lowest: those that were said, the widest first, and the usual ones above or instead. */
function stacked(mm: readonly number[], tiers: number): number[] {
  if (mm.length === 0) return Array.from({ length: tiers }, (_, i) => TOP_MM + STEP_MM * (tiers - 1 - i))
  const widths = [...mm].sort((a, b) => b - a)
  while (widths.length < tiers) widths.push(widths.at(-1)! - STEP_MM)
  return widths
}
