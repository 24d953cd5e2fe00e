import { z } from 'zod'
import { prism } from './prism.ts'
import type { SurfaceDefinition } from './surface.ts'

const schema = z.object({
  kind: z.literal('sheet'),
  lengthMm: z
    .number()
    .min(60, 'A sheet cake is at least 60 mm long.')
    .max(1200, 'A sheet cake is at most 1,200 mm long.'),
  widthMm: z
    .number()
    .min(60, 'A sheet cake is at least 60 mm wide.')
    .max(1200, 'A sheet cake is at most 1,200 mm wide.'),
  heightMm: z.number().min(10).max(200),
})

/** Rectangular cake: top and four sides. */
export const sheet: SurfaceDefinition<typeof schema> = {
  label: 'sheet cake',
  plural: 'sheet cakes',
  schema,
  bodies: (s) => [
    {
      label: '',
      seenMm2: s.lengthMm * s.widthMm + 2 * (s.lengthMm + s.widthMm) * s.heightMm,
      coveredMm2: 0,
      fillingMm2: s.lengthMm * s.widthMm,
    },
  ],
  topAreaMm2: (s) => s.lengthMm * s.widthMm,
  topAcrossMm: (s) => Math.min(s.lengthMm, s.widthMm),
  topRiseMm: () => 0,
  edges: (s) => [
    { id: 'top', tier: 0, label: 'top edge', loopsMm: [2 * (s.lengthMm + s.widthMm)] },
    { id: 'foot', tier: 0, label: 'foot', loopsMm: [2 * (s.lengthMm + s.widthMm)] },
  ],
  chart: ({ lengthMm, widthMm, heightMm }) => {
    const [x, y] = [lengthMm / 2, widthMm / 2]
    return prism({
      shapes: [
        [
          [
            { x: -x, y: -y },
            { x, y: -y },
            { x, y },
            { x: -x, y },
          ],
        ],
      ],
      heightMm,
      topLabel: 'top',
      sideLabel: 'side',
    })
  },
  describe: (s, length) => `${length(s.lengthMm)} × ${length(s.widthMm)} × ${length(s.heightMm)}`,
}
