import { z } from 'zod'
import { type PlacesDefinition, windingAzimuth } from './spot.ts'

const schema = z.object({
  kind: z.literal('dome'),
  radiusMm: z.number().min(1).max(150),
  tallMm: z.number().min(0).max(150),
  fromDeg: z.number().min(0).max(89).default(0).describe('Bare on top so far down from its middle'),
  toDeg: z.number().min(1).max(90).default(80).describe('Filled so far down from its middle'),
})

/**
 * All over a dome, each square to it: from its rim up, so that what is higher lies on what is lower. Even by area of the
 * half ball that the dome is stretched from.
 */
export const dome: PlacesDefinition<typeof schema> = {
  label: 'over a dome',
  schema,
  spots: ({ radiusMm, tallMm, fromDeg, toDeg }, ring) => {
    const [top, rim] = [fromDeg, Math.max(fromDeg, toDeg)].map((deg) => Math.cos((deg * Math.PI) / 180)) as [
      number,
      number,
    ]
    return Array.from({ length: ring.count }, (_, i) => {
      const cos = rim + (top - rim) * ((i + 0.5) / ring.count)
      const sin = Math.sqrt(1 - cos * cos)
      const azimuth = windingAzimuth(i, ring)
      const r = radiusMm * sin
      return {
        azimuth,
        seat: {
          xMm: r * Math.cos(azimuth),
          yMm: r * Math.sin(azimuth),
          zMm: tallMm * cos,
          lean: Math.atan2(sin * tallMm, cos * radiusMm),
          towards: azimuth,
        },
      }
    })
  },
}
