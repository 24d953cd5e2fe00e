import { z } from 'zod'
import { groove, ramp, type ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('vein'),
  deepMm: z.number().min(0.1).max(2),
  widthMm: z.number().min(0.3).max(4),
  pairs: z.number().int().min(0).max(10).default(0),
})

/** A side vein leaves the middle at 45°, is so much of it deep, and ends short of the edge. */
const SIDE_DEEP = 0.6
const SHORT_OF_EDGE = 0.85

/** A vein along the middle from heart to tip, and pairs of side veins if they are wanted. */
export const vein: ToolDefinition<typeof schema> = {
  label: 'vein',
  schema,
  instruments: ['dampBrush', 'scribe', 'toothpick'],
  when: ['wet', 'crusted'],
  rests: ['lies'],
  only: 'sheets',
  secondsEach: 2,
  touch:
    ({ deepMm, widthMm, pairs }) =>
    (at, moved) => {
      const ends = ramp(0, 0.08, at.out) * (1 - ramp(0.9, 1, at.out))
      const middle = groove(at.asideMm, widthMm)
      let side = 0
      for (let pair = 1; pair <= pairs; pair++) {
        const root = (at.lengthMm * pair) / (pairs + 1.5)
        const off = (at.outMm - root - Math.abs(at.asideMm)) * Math.SQRT1_2
        side = Math.max(side, groove(off, widthMm * SIDE_DEEP))
      }
      const inside = 1 - ramp(SHORT_OF_EDGE - 0.1, SHORT_OF_EDGE, Math.abs(at.asideMm) / at.halfHereMm)
      moved.thinMm = ends * deepMm * Math.max(middle, SIDE_DEEP * side * inside)
    },
  words: {
    how: 'One pull from the foot to the tip, lighter towards the end.',
    goesWrong: 'The petal is cut through: pressed too deep, or too soon.',
  },
}
