import { z } from 'zod'
import { slip } from '../random.ts'
import type { ToolDefinition } from './tool.ts'

const schema = z.object({
  kind: z.literal('flare'),
  count: z.number().int().min(3).max(60),
  lengthMm: z.number().min(1).max(40),
  widthMm: z.number().min(0.3).max(6),
})
/** No two pulls are alike: this share longer or shorter, and this share of the way to the next one aside. */
const UNEVEN = 0.22
const ASTRAY = 0.2

/** Pulls tongues out of a wet ground with a point, up onto what lies around it. */
export const flare: ToolDefinition<typeof schema> = {
  label: 'flare the ground out',
  schema,
  instruments: ['scribe', 'toothpick'],
  when: ['wet'],
  rests: ['spreads', 'sits'],
  only: 'ropes',
  secondsEach: 20,
  tongues: ({ count, lengthMm, widthMm }, random) =>
    Array.from({ length: count }, (_, i) => ({
      azimuth: ((i + ASTRAY * slip(random)) * 2 * Math.PI) / count,
      lengthMm: lengthMm * (1 + UNEVEN * slip(random)),
      widthMm,
    })),
  words: {
    how: 'Set the point into the wet ground and draw it out onto the petals, lifting as it thins. Wipe it every few pulls.',
    goesWrong: 'The tongue breaks off: the ground has begun to crust. Work one flower at a time.',
  },
}
