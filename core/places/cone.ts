import { z } from 'zod'
import { type PlacesDefinition, windingAzimuth } from './spot.ts'

const schema = z.object({
  kind: z.literal('cone'),
  radiusMm: z.number().min(0.5).max(100),
  tallMm: z.number().min(1).max(150),
})

/** Up the side of a cone in a winding row, each square to it: as many to a square millimetre below as above. */
export const cone: PlacesDefinition<typeof schema> = {
  label: 'up a cone',
  schema,
  spots: ({ radiusMm, tallMm }, ring) =>
    Array.from({ length: ring.count }, (_, i) => {
      // a cone's side is left over above a height by the square of what is left of its slope
      const left = Math.sqrt(1 - (i + 0.5) / ring.count)
      const azimuth = windingAzimuth(i, ring)
      return {
        azimuth,
        seat: {
          xMm: radiusMm * left * Math.cos(azimuth),
          yMm: radiusMm * left * Math.sin(azimuth),
          zMm: tallMm * (1 - left),
          lean: Math.atan2(tallMm, radiusMm),
          towards: azimuth,
        },
      }
    }),
}
