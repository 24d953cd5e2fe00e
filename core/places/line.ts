import { z } from 'zod'
import type { PlacesDefinition } from './spot.ts'

const schema = z.object({
  kind: z.literal('line'),
  fromMm: z.number().min(-200).max(200).default(0).describe('Where it begins, from the axis of the flower'),
  lengthMm: z.number().min(1).max(400),
  turnDeg: z.number().min(-360).max(360).default(0).describe('How far the whole line bends round'),
  angleDeg: z.number().min(-180).max(180).default(50).describe('How far each points aside of the line'),
  sides: z.enum(['along', 'both', 'alternate', 'left', 'right']).default('both'),
})

const RADIANS = Math.PI / 180

/** Along a stem or a curve, from its beginning to its end: on it, in pairs, or to one side and the other in turn. */
export const line: PlacesDefinition<typeof schema> = {
  label: 'along a line',
  schema,
  spots: ({ fromMm, lengthMm, turnDeg, angleDeg, sides }, { count, startDeg }) => {
    const steps = sides === 'both' ? Math.ceil(count / 2) : count
    const bend = turnDeg * RADIANS
    const start = startDeg * RADIANS
    return Array.from({ length: count }, (_, i) => {
      const step = sides === 'both' ? Math.floor(i / 2) : i
      const t = steps === 1 ? 0.5 : step / (steps - 1)
      // a circular arc of the line's own length
      const along = bend === 0 ? lengthMm * t : (lengthMm / bend) * Math.sin(bend * t)
      const aside = bend === 0 ? 0 : (lengthMm / bend) * (1 - Math.cos(bend * t))
      const x = fromMm + along
      const toLeft = sides === 'left' || ((sides === 'both' || sides === 'alternate') && i % 2 === 0)
      const side = sides === 'along' ? 0 : toLeft ? 1 : -1
      return {
        azimuth: start + bend * t + side * angleDeg * RADIANS,
        seat: {
          xMm: Math.cos(start) * x - Math.sin(start) * aside,
          yMm: Math.sin(start) * x + Math.cos(start) * aside,
          zMm: 0,
          lean: 0,
          towards: 0,
        },
      }
    })
  },
}
