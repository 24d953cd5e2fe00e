import { z } from 'zod'
import { cutOut, cutOutHeight, cutOutWidth } from './cutOut.ts'

/** A regular hexagon, a flat edge to the front, measured from edge to edge. */
export const hexagon = cutOut({
  label: 'hexagon',
  plural: 'hexagons',
  schema: z.object({ kind: z.literal('hexagon'), diameterMm: cutOutWidth, heightMm: cutOutHeight }),
  shapes: ({ diameterMm }) => {
    const corner = diameterMm / Math.sqrt(3)
    return [
      [
        Array.from({ length: 6 }, (_, i) => ({
          x: corner * Math.cos((i * Math.PI) / 3),
          y: corner * Math.sin((i * Math.PI) / 3),
        })),
      ],
    ]
  },
  heightMm: ({ heightMm }) => heightMm,
  words: ({ diameterMm }, length) => `hexagon, ${length(diameterMm)} across`,
})
