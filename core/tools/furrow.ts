import { z } from 'zod'
import { slip } from '../random.ts'
import { groove, ramp, type ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('furrow'),
  count: z.number().int().min(1).max(15),
  deepMm: z.number().min(0.05).max(1.5),
  widthMm: z.number().min(0.3).max(3),
})

/** The outermost lines keep so far from the edge, as a share of the half width there. */
const SPREAD = 0.92

/** Fine lines that fan out from the heart of a petal: drawn veins, or the marks that a brush leaves. */
export const furrow: ToolDefinition<typeof schema> = {
  label: 'draw lines in it',
  schema,
  instruments: ['toothpick', 'scribe', 'dryBrush', 'dampBrush'],
  when: ['wet', 'crusted'],
  rests: ['lies'],
  only: 'sheets',
  secondsEach: 3,
  touch: ({ count, deepMm, widthMm }, random) => {
    const lines = Array.from({ length: count }, (_, i) => ({
      aside: ((i + 0.5) / count) * 2 - 1 + (0.4 / count) * slip(random),
      ends: 0.8 + 0.15 * slip(random),
    }))
    return (at, moved) => {
      let most = 0
      for (const { aside, ends } of lines) {
        // they fan out as the petal does
        const there = aside * SPREAD * at.halfHereMm
        most = Math.max(most, groove(at.asideMm - there, widthMm) * (1 - ramp(ends - 0.1, ends, at.out)))
      }
      moved.thinMm = deepMm * most * ramp(0, 0.1, at.out)
    }
  },
  words: {
    how: 'From the heart outwards, lifting before the edge.',
    goesWrong: 'Crumbs along the line: it has dried. Draw sooner, or paint the lines on instead.',
  },
}
