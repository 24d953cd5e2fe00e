import { z } from 'zod'
import { seeded } from '../random.ts'
import type { PlacesDefinition } from './spot.ts'

const schema = z.object({
  kind: z.literal('scatter'),
  lengthMm: z.number().min(1).max(300),
  wideMm: z.number().min(1).max(300),
  taper: z.number().min(0).max(1).default(0).describe('How much narrower it is at its far end'),
  middleMm: z
    .number()
    .min(-200)
    .max(200)
    .default(0)
    .describe('Where its middle lies, from the axis of the flower'),
  seed: z.number().int('Whole numbers only.').min(1).max(999).default(1).describe('Another throw'),
})

/** Tried for each place; the one furthest from all others is taken. */
const CANDIDATES = 24

/**
 * Thrown over an oval, or over a drop that is narrower at its far end, none too near another: of some random places the
 * one furthest from those that are taken. The same number throws them the same way.
 */
export const scatter: PlacesDefinition<typeof schema> = {
  label: 'scattered',
  schema,
  spots: ({ lengthMm, wideMm, taper, middleMm, seed }, { count, startDeg }) => {
    const random = seeded(seed)
    const [c, s] = [Math.cos((startDeg * Math.PI) / 180), Math.sin((startDeg * Math.PI) / 180)]
    const candidate = (): [x: number, y: number] => {
      for (;;) {
        const [along, across] = [2 * random() - 1, 2 * random() - 1]
        if (Math.abs(across) <= Math.sqrt(1 - along * along) * (1 - (taper * (along + 1)) / 2))
          return [(along * lengthMm) / 2, (across * wideMm) / 2]
      }
    }
    const taken: [x: number, y: number][] = []
    for (let i = 0; i < count; i++) {
      let best = candidate()
      let furthest = nearest(taken, best)
      for (let k = 1; k < CANDIDATES && i > 0; k++) {
        const other = candidate()
        const away = nearest(taken, other)
        if (away > furthest) [best, furthest] = [other, away]
      }
      taken.push(best)
    }
    return taken.map(([x, y]) => ({
      azimuth: 2 * Math.PI * random(),
      seat: {
        xMm: c * (middleMm + x) - s * y,
        yMm: s * (middleMm + x) + c * y,
        zMm: 0,
        lean: 0,
        towards: 0,
      },
    }))
  },
}

const nearest = (taken: readonly [number, number][], [x, y]: readonly [number, number]): number =>
  taken.reduce((least, [a, b]) => Math.min(least, Math.hypot(a - x, b - y)), Number.POSITIVE_INFINITY)
