import { z } from 'zod'
import { cutOut, cutOutHeight, cutOutWidth } from './cutOut.ts'
import { type Cutout, crossesItself, cutoutMm2, wideAs } from './outline.ts'

const loopSchema = z
  .array(z.object({ x: z.number().min(-5).max(5), y: z.number().min(-5).max(5) }))
  .min(3, 'An outline has at least three points.')
  .max(400, 'An outline has at most 400 points.')
  .refine((loop) => !crossesItself(loop), 'The outline crosses itself: draw it without a loop.')

/** Of the square that an outline just fits in, at least so much is filled: less is a line. */
const LEAST_FILLED = 0.01

/** Outlines as they were drawn or read from a file, in shares of their width: each an edge, then what is cut out of it. */
export const drawnShapesSchema = z
  .array(z.array(loopSchema).min(1).max(20, 'At most 20 holes.'))
  .min(1, 'Draw an outline, or choose a file with one.')
  .max(12, 'At most 12 outlines.')
  .refine(
    (shapes) => wideAs(shapes, 1).reduce((sum, cutout) => sum + cutoutMm2(cutout), 0) >= LEAST_FILLED,
    'The outline has next to no area: draw around something.',
  )

/** Any outline that somebody drew or brought as a file. */
export const drawn = cutOut({
  label: 'own outline',
  plural: 'own outlines',
  schema: z.object({
    kind: z.literal('drawn'),
    widthMm: cutOutWidth,
    heightMm: cutOutHeight,
    shapes: drawnShapesSchema,
  }),
  shapes: ({ shapes, widthMm }): Cutout[] => wideAs(shapes, widthMm),
  heightMm: ({ heightMm }) => heightMm,
  words: ({ widthMm }, length) => `own outline, ${length(widthMm)} wide`,
})
