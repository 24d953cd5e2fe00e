import { z } from 'zod'
import type { ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('dent'),
  deepMm: z.number().min(0.2).max(10),
  radiusMm: z.number().min(1).max(20),
})
/** No deeper than so much of the height that is there. */
const MOST = 0.75

/** Pushes the middle of a stroke in: a hollow for what comes next, or a cupped petal. */
export const dent: ToolDefinition<typeof schema> = {
  label: 'push in',
  schema,
  instruments: ['finger', 'scribe', 'dampBrush'],
  when: ['wet', 'crusted'],
  rests: ['sits', 'coils', 'spreads', 'lies'],
  secondsEach: 2,
  touch:
    ({ deepMm, radiusMm }) =>
    (at, moved) => {
      if (at.awayMm >= radiusMm || at.tallMm === 0) return
      const hollow = (1 - (at.awayMm / radiusMm) ** 2) ** 2
      // what is on the table stays there
      moved.downMm = Math.min(deepMm, MOST * at.tallMm) * hollow * (at.upMm / at.tallMm)
    },
  words: {
    how: 'Dust the fingertip, or wet it barely. Straight down, a slight turn, and up.',
    goesWrong: 'The sides crack: crusted too far. The middle comes up with the finger: too fresh.',
  },
}
