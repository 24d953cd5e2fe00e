import { z } from 'zod'
import { bentLine } from '../strokes/frames.ts'
import { radians } from '../strokes/stroke.ts'
import type { PlacesDefinition } from './spot.ts'

const schema = z.object({
  kind: z.literal('line'),
  fromMm: z.number().min(-200).max(200).default(0).describe('Where it begins, from the axis of the flower'),
  lengthMm: z.number().min(1).max(400),
  turnDeg: z.number().min(-360).max(360).default(0).describe('How far the whole line bends round'),
  angleDeg: z.number().min(-180).max(180).default(50).describe('How far each points aside of the line'),
  sides: z.enum(['along', 'both', 'alternate', 'left', 'right']).default('both'),
})

/** Along a stem or a curve, from its beginning to its end: on it, in pairs, or to one side and the other in turn. */
export const line: PlacesDefinition<typeof schema> = {
  label: 'along a line',
  schema,
  spots: ({ fromMm, lengthMm, turnDeg, angleDeg, sides }, { count, startDeg }) => {
    const steps = sides === 'both' ? Math.ceil(count / 2) : count
    const start = radians(startDeg)
    return Array.from({ length: count }, (_, i) => {
      const step = sides === 'both' ? Math.floor(i / 2) : i
      const t = steps === 1 ? 0.5 : step / (steps - 1)
      const [xMm, yMm] = bentLine({ ringMm: fromMm, heightMm: 0, azimuth: start }, lengthMm, turnDeg, t)
      const toLeft = sides === 'left' || ((sides === 'both' || sides === 'alternate') && i % 2 === 0)
      const side = sides === 'along' ? 0 : toLeft ? 1 : -1
      return {
        azimuth: start + radians(turnDeg) * t + side * radians(angleDeg),
        seat: { xMm, yMm, zMm: 0, lean: 0, towards: 0 },
      }
    })
  },
}
