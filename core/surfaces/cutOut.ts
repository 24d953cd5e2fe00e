import { z } from 'zod'
import { acrossMm, type Cutout, cutoutMm2, roundMm } from './outline.ts'
import { prism } from './prism.ts'
import type { SurfaceDefinition } from './surface.ts'

/** Lower than this is a cookie or a plaque: it has no layers to fill. */
const CAKE_FROM_MM = 20

/** How high a piece with straight sides is; 0 for one that is coated on top only. */
export const cutOutHeight = z
  .number()
  .min(0)
  .max(200, 'At most 200 mm high.')
  .refine((mm) => mm === 0 || mm >= 5, 'At least 5 mm high, or 0 for no sides.')

/** Across, as shapes cut from cakes and cookies are measured. */
export const cutOutWidth = z.number().min(25, 'At least 25 mm across.').max(900, 'At most 900 mm across.')

/**
 * A piece with straight sides, from what it looks like from above. A new shape is a file of its own that says this much.
 * @param words what its outline is called and how it is measured: "heart, 200 mm wide".
 */
export function cutOut<S extends z.ZodObject>(of: {
  label: string
  plural: string
  schema: S
  shapes(shape: z.infer<S>): readonly Cutout[]
  heightMm(shape: z.infer<S>): number
  words(shape: z.infer<S>, length: (mm: number) => string): string
}): SurfaceDefinition<S> {
  const areaMm2 = (s: z.infer<S>) => of.shapes(s).reduce((sum, cutout) => sum + cutoutMm2(cutout), 0)
  const allMm = (s: z.infer<S>) =>
    of
      .shapes(s)
      .flat()
      .reduce((sum, loop) => sum + roundMm(loop), 0)
  return {
    label: of.label,
    plural: of.plural,
    schema: of.schema,
    bodies: (s) => [
      {
        label: '',
        seenMm2: areaMm2(s) + allMm(s) * of.heightMm(s),
        coveredMm2: 0,
        fillingMm2: of.heightMm(s) >= CAKE_FROM_MM ? areaMm2(s) : null,
      },
    ],
    topAreaMm2: areaMm2,
    topAcrossMm: (s) => acrossMm(of.shapes(s)),
    topRiseMm: () => 0,
    edges: (s) => [
      {
        id: 'top',
        tier: 0,
        label: of.heightMm(s) > 0 ? 'top edge' : 'rim',
        loopsMm: of.shapes(s).flat().map(roundMm),
      },
      ...(of.heightMm(s) > 0
        ? [
            {
              id: 'foot' as const,
              tier: 0,
              label: 'foot',
              loopsMm: of.shapes(s).map(([edge]) => roundMm(edge!)),
            },
          ]
        : []),
    ],
    chart: (s) =>
      prism({ shapes: of.shapes(s), heightMm: of.heightMm(s), topLabel: 'top', sideLabel: 'side' }),
    describe: (s, length) =>
      `${of.words(s, length)}${of.heightMm(s) > 0 ? `, ${length(of.heightMm(s))} high` : ', flat'}`,
  }
}
