import { z } from 'zod'
import { groove, ramp, type ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('notch'),
  deepMm: z.number().min(0.3).max(10),
  widthMm: z.number().min(0.5).max(12),
  count: z.number().int().min(1).max(7).default(1),
})
/** A notch is felt so far in from the edge, as a multiple of its depth. */
const FELT = 2.2

/** Pushes the edge of a lying petal in with a point: one notch makes a heart, several a fringe. */
export const notch: ToolDefinition<typeof schema> = {
  label: 'notch the edge',
  schema,
  instruments: ['toothpick', 'scribe', 'dampBrush'],
  when: ['wet', 'crusted'],
  rests: ['lies'],
  only: 'sheets',
  secondsEach: 1.5,
  touch:
    ({ deepMm, widthMm, count }) =>
    (at, moved) => {
      const felt = ramp(at.lengthMm - FELT * deepMm, at.lengthMm, at.outMm)
      let cut = 0
      for (let i = 0; i < count; i++) {
        const middle = (((i + 0.5) / count) * 2 - 1) * at.halfMm * SPREAD
        cut = Math.max(cut, groove(at.asideMm - middle, widthMm))
      }
      moved.inMm = deepMm * felt * cut
    },
  words: {
    how: 'Lay the point across the edge and push it towards the heart.',
    goesWrong: 'The petal splits: pushed too far, or it has crusted through.',
  },
}

/** Several notches are spread over so much of the edge. */
const SPREAD = 0.9
