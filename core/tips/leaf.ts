import { z } from 'zod'
import { mm, type Outline, outlineArea, type TipFamily } from './family.ts'

const schema = z
  .object({
    family: z.literal('leaf'),
    widthMm: z.number().min(2).max(20),
    heightMm: z.number().min(0.8).max(8),
    /** A beak cut to a V is a diamond seen end-on; a slit is a round hole with a cut to either side. */
    cut: z.enum(['beak', 'slit']).default('beak'),
  })
  .superRefine((o, ctx) => {
    if (o.cut === 'slit' && o.heightMm >= o.widthMm)
      ctx.addIssue({
        code: 'custom',
        path: ['heightMm'],
        message: 'The round of a slit opening must be smaller than the slit is long.',
      })
  })
type Leaf = z.infer<typeof schema>

/** Height of the slit beside the round, as a share of the round. */
const SLIT = 0.28

/** Height in mm of the opening at a distance in mm from its middle. */
function heightAt(o: Leaf, fromMiddle: number): number {
  const half = o.widthMm / 2
  if (o.cut === 'beak') return o.heightMm * Math.max(0, 1 - fromMiddle / half)
  const radius = o.heightMm / 2
  const round = fromMiddle < radius ? 2 * Math.sqrt(radius ** 2 - fromMiddle ** 2) : 0
  return Math.max(round, fromMiddle <= half ? o.heightMm * SLIT : 0)
}

const STEPS = 40

function outline(o: Leaf): Outline {
  const half = o.widthMm / 2
  if (o.cut === 'beak')
    return [
      [0, 0],
      [half, o.heightMm / 2],
      [o.widthMm, 0],
      [half, -o.heightMm / 2],
    ]
  const above = Array.from({ length: STEPS + 1 }, (_, i) => {
    const x = (o.widthMm * i) / STEPS
    return [x, heightAt(o, Math.abs(x - half)) / 2] as const
  })
  return [...above, ...above.map(([x, y]) => [x, -y] as const).reverse()]
}

/** V-cut beak, or a round with a slit: leaves with a raised vein and a point. */
export const leaf: TipFamily<typeof schema> = {
  label: 'leaf',
  schema,
  areaMm2: (o) => outlineArea(outline(o)),
  outlines: (o) => [outline(o)],
  sizeMm: (o) => o.widthMm,
  describe: (o) => `${o.cut === 'slit' ? 'slit' : 'V'} ${mm(o.widthMm)} mm, ${mm(o.heightMm)} high`,
  slot: (o) => ({
    lengthMm: o.widthMm,
    bendDeg: 0,
    widthAt: (u) => heightAt(o, Math.abs(u - 0.5) * o.widthMm),
  }),
}
