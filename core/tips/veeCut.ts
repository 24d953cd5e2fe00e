import { z } from 'zod'
import { mm, type TipFamily } from './family.ts'

const schema = z.object({
  family: z.literal('veeCut'),
  widthMm: z.number().min(3).max(25),
})
type VeeCut = z.infer<typeof schema>

/** How far a V cut in a cone gapes when it is squeezed, as a share of its width. */
const GAPE = 0.3

const heightMm = (o: VeeCut) => o.widthMm * GAPE

/** No tip at all: a parchment cone cut to a V, for leaves. A diamond seen end-on, as a leaf tip's beak is. */
export const veeCut: TipFamily<typeof schema> = {
  label: 'V-cut bag',
  schema,
  areaMm2: (o) => (o.widthMm * heightMm(o)) / 2,
  outlines: (o) => [
    [
      [0, 0],
      [o.widthMm / 2, heightMm(o) / 2],
      [o.widthMm, 0],
      [o.widthMm / 2, -heightMm(o) / 2],
    ],
  ],
  sizeMm: (o) => o.widthMm,
  describe: (o) => `${mm(o.widthMm)} mm`,
  slot: (o) => ({
    lengthMm: o.widthMm,
    bendDeg: 0,
    widthAt: (u) => heightMm(o) * (1 - Math.abs(2 * u - 1)),
  }),
}
