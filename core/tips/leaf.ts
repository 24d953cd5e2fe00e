import { z } from 'zod'
import { mm, outlineArea, type TipFamily } from './family.ts'

const schema = z.object({
  family: z.literal('leaf'),
  widthMm: z.number().min(2).max(20),
  heightMm: z.number().min(0.8).max(8),
})
type Leaf = z.infer<typeof schema>

const outline = (o: Leaf) =>
  [
    [0, 0],
    [o.widthMm / 2, o.heightMm / 2],
    [o.widthMm, 0],
    [o.widthMm / 2, -o.heightMm / 2],
  ] as const

/** V-cut beak, a diamond seen end-on: leaves with a raised vein and a point. */
export const leaf: TipFamily<typeof schema> = {
  label: 'leaf',
  schema,
  areaMm2: (o) => outlineArea(outline(o)),
  outlines: (o) => [outline(o)],
  sizeMm: (o) => o.widthMm,
  describe: (o) => `V ${mm(o.widthMm)} mm, ${mm(o.heightMm)} high`,
  slot: (o) => ({
    lengthMm: o.widthMm,
    bendDeg: 0,
    widthAt: (u) => o.heightMm * (1 - Math.abs(2 * u - 1)),
  }),
}
