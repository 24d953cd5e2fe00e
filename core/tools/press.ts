import { z } from 'zod'
import type { ToolDefinition } from './tool.ts'

const schema = z.object({ kind: z.literal('press'), downMm: z.number().min(0.1).max(8) })
/** Not all of a stroke is pressed away. */
const MOST = 0.7

/** Pushes down the point that was left where the tip was pulled away. */
export const press: ToolDefinition<typeof schema> = {
  label: 'push down the point',
  schema,
  instruments: ['dampBrush', 'finger', 'scribe'],
  when: ['wet', 'crusted'],
  rests: ['sits', 'rises', 'coils'],
  secondsEach: 1.2,
  touch:
    ({ downMm }) =>
    (at, moved) => {
      const cap = Math.max(at.tallMm * (1 - MOST), at.tallMm - downMm)
      moved.downMm = Math.max(0, at.upMm - cap)
    },
  words: {
    how: 'Touch the point with the flat of the brush and let go sideways.',
    goesWrong: 'A new point is pulled up: the brush was dry, or lifted straight.',
  },
}
