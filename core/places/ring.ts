import { z } from 'zod'
import type { PlacesDefinition } from './spot.ts'

const schema = z.object({ kind: z.literal('ring') })

/** All round the axis, or round a part of it, evenly. */
export const ring: PlacesDefinition<typeof schema> = {
  label: 'on a ring',
  schema,
  spots: (_, { count, startDeg, spreadDeg }) => {
    const full = spreadDeg >= 360
    const gaps = full ? count : Math.max(1, count - 1)
    return Array.from({ length: count }, (_, i) => {
      const turned = full ? (360 * i) / gaps : count === 1 ? 0 : spreadDeg * (i / gaps - 0.5)
      return { azimuth: ((startDeg + turned) * Math.PI) / 180, seat: null }
    })
  },
}
