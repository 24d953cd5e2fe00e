import { z } from 'zod'
import { mm, type TipFamily } from './family.ts'
import { slotOutline, taperedArea, taperedWidth } from './slot.ts'

const schema = z.object({
  family: z.literal('petal'),
  lengthMm: z.number().min(4).max(45),
  wideMm: z.number().min(0.6).max(5),
  narrowMm: z.number().min(0.3).max(3),
})
type Petal = z.infer<typeof schema>

const slot = (o: Petal) => ({
  lengthMm: o.lengthMm,
  bendDeg: 0,
  widthAt: (u: number) => taperedWidth(o.lengthMm, o.wideMm, o.narrowMm, u),
})

/** Straight teardrop slot: wide end against the work, narrow end free, so that the petal's edge is thin. */
export const petal: TipFamily<typeof schema> = {
  label: 'petal',
  schema,
  areaMm2: (o) => taperedArea(o.lengthMm, o.wideMm, o.narrowMm),
  outlines: (o) => [slotOutline(slot(o))],
  sizeMm: (o) => o.lengthMm,
  describe: (o) => `${mm(o.lengthMm)} mm, ${mm(o.wideMm)} to ${mm(o.narrowMm)}`,
  slot,
}
