import { z } from 'zod'
import { smoothNoise } from '../random.ts'
import type { ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('roughen'),
  deepMm: z.number().min(0.1).max(2),
  grainMm: z.number().min(0.5).max(5),
})
/** Grains that are told apart along one direction; further on they come again. */
const GRAINS = 64

/** Stipples a centre, so that it looks like pollen: pricked with a point, or dabbed with a stiff brush. */
export const roughen: ToolDefinition<typeof schema> = {
  label: 'roughen',
  schema,
  instruments: ['toothpick', 'scribe', 'dryBrush'],
  when: ['crusted', 'wet'],
  rests: ['sits', 'rises', 'coils', 'spreads', 'lies'],
  secondsEach: 8,
  allRound: true,
  touch: ({ deepMm, grainMm }, random) => {
    const [a, b, c] = [0, 1, 2].map(() => smoothNoise(random, GRAINS)) as [Noise, Noise, Noise]
    const at = (noise: Noise, mm: number) => noise((((mm / grainMm) % GRAINS) + GRAINS) % GRAINS)
    return (p, moved) => {
      moved.thinMm = deepMm * (at(a, p.outMm) * at(b, p.asideMm) + at(c, p.upMm)) * 0.8
    }
  },
  words: {
    how: 'Prick it all over once the skin has set: short, straight in and out.',
    goesWrong: 'It smears: too fresh. Wait a few minutes more.',
  },
}

type Noise = (x: number) => number
