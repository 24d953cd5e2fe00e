import { z } from 'zod'
import { circleOutline, mm, type TipFamily } from './family.ts'

const schema = z.object({
  family: z.literal('cutBag'),
  diameterMm: z.number().min(0.5).max(15),
})

/** No tip at all: a parchment cone or bag cut to a round hole. */
export const cutBag: TipFamily<typeof schema> = {
  label: 'cut bag',
  schema,
  areaMm2: (o) => (Math.PI * o.diameterMm ** 2) / 4,
  outlines: (o) => [circleOutline(o.diameterMm / 2)],
  sizeMm: (o) => o.diameterMm,
  describe: (o) => `${mm(o.diameterMm)} mm`,
  slot: () => null,
}
