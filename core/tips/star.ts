import { z } from 'zod'
import { mm, type Outline, outlineArea, type TipFamily } from './family.ts'

const schema = z
  .object({
    family: z.literal('star'),
    teeth: z.number().int().min(4).max(16),
    /** Tip of a tooth to the centre. */
    outerMm: z.number().min(1).max(15),
    /** Bottom of a notch to the centre. */
    innerMm: z.number().min(0.4).max(14),
    closed: z.boolean(),
  })
  .refine((o) => o.innerMm < o.outerMm, {
    path: ['innerMm'],
    message: 'The inner radius must be smaller than the outer one.',
  })
type Star = z.infer<typeof schema>

/**
 * Radius in mm at angle θ: `lerp(inner, outer, (½ + ½ cos nθ)^0.75)`, a rounded tooth as icing leaves it.
 */
export function starRadius(o: Star, theta: number): number {
  return o.innerMm + (o.outerMm - o.innerMm) * (0.5 + 0.5 * Math.cos(o.teeth * theta)) ** 0.75
}

function outline(o: Star): Outline {
  const points = o.teeth * 16
  return Array.from({ length: points }, (_, i) => {
    const theta = (2 * Math.PI * i) / points
    const r = starRadius(o, theta)
    return [r * Math.cos(theta), r * Math.sin(theta)] as const
  })
}

/** Open or closed star: rosettes, swirls, shells, drop stars. */
export const star: TipFamily<typeof schema> = {
  label: 'star',
  schema,
  areaMm2: (o) => outlineArea(outline(o)),
  outlines: (o) => [outline(o)],
  sizeMm: (o) => o.outerMm * 2,
  describe: (o) => `${mm(o.outerMm * 2)} mm, ${o.teeth} points, ${o.closed ? 'closed' : 'open'}`,
  slot: () => null,
}
