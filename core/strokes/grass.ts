import { z } from 'zod'
import { spike } from './spike.ts'
import type { StrokeDefinition } from './stroke.ts'

const schema = spike.schema.extend({ kind: z.literal('grass') })

/** Grass, fur or mane: a tuft pulled up from an opening of many holes, every hole a blade. */
export const grass: StrokeDefinition<typeof schema> = {
  label: 'grass tuft',
  schema,
  families: ['multiHole'],
  freeOpening: false,
  texture: 'spiked',
  rests: 'rises',
  fragile: true,
  trace: (p, at, opening) => spike.trace({ ...p, kind: 'spike' }, at, opening),
  speedMmPerS: 22,
  overheadSeconds: 0.7,
  words: {
    hold: 'Upright, every hole touching the surface.',
    clock: null,
    pressure: 'Squeeze until the foot holds, then pull up; lean the pull for wind.',
    stop: 'Stop squeezing, then pull away: the blades break at their own length.',
    goesWrong: [
      'Blades run together: too soft, or the tufts stand too close. Stiffen it; a tuft’s width apart.',
      'Bare patches: a hole is clogged. Clear it with a needle before the next tuft.',
    ],
  },
}
