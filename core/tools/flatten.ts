import { z } from 'zod'
import type { ToolDefinition } from './tool.ts'

const schema = z.object({ kind: z.literal('flatten'), byShare: z.number().min(0.05).max(0.8) })

/** Pats a stroke down to a part of its height; what is pressed away makes the rest fuller. */
export const flatten: ToolDefinition<typeof schema> = {
  label: 'flatten',
  schema,
  instruments: ['dampBrush', 'finger', 'dryBrush'],
  when: ['wet', 'crusted'],
  rests: ['lies', 'sits', 'rises', 'coils', 'spreads'],
  secondsEach: 2,
  touch:
    ({ byShare }) =>
    (at, moved) => {
      moved.downMm = byShare * at.upMm
    },
  words: {
    how: 'Pat, do not wipe. A fingertip only through parchment, or dusted.',
    goesWrong: 'It sticks to the brush: too wet still. Wait, or a drop of water on the brush.',
  },
}
