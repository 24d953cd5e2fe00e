import type { Point } from './attempt.ts'
import type { Drill } from './drill.ts'

/** A drill for the other hand: everything the other way round, the nail's turning too. */
export function mirrored(drill: Drill): Drill {
  const over = (p: Point): Point => ({ x: drill.wide - p.x, y: p.y })
  return {
    ...drill,
    nail: drill.nail && { ...drill.nail, middle: over(drill.nail.middle) },
    strokes: drill.strokes.map((stroke) => ({
      ...stroke,
      path: stroke.path.map(over),
      ...(stroke.nails ? { nails: stroke.nails.map((n) => -n) } : {}),
    })),
  }
}
