import { z } from 'zod'
import { mm, type TipFamily } from './family.ts'
import { slotOutline, taperedArea, taperedWidth } from './slot.ts'

const schema = z.object({
  family: z.literal('curvedPetal'),
  lengthMm: z.number().min(4).max(45),
  wideMm: z.number().min(0.6).max(5),
  narrowMm: z.number().min(0.3).max(3),
  bendDeg: z.number().min(10).max(120),
})
type CurvedPetal = z.infer<typeof schema>

const slot = (o: CurvedPetal) => ({
  lengthMm: o.lengthMm,
  // negative: the slot bends towards the centre of the flower when the wide end is down
  bendDeg: -o.bendDeg,
  widthAt: (u: number) => taperedWidth(o.lengthMm, o.wideMm, o.narrowMm, u),
})

/** The petal slot bent into an arc: cups the petal with no effort. Length is measured along the arc. */
export const curvedPetal: TipFamily<typeof schema> = {
  label: 'curved petal',
  schema,
  areaMm2: (o) => taperedArea(o.lengthMm, o.wideMm, o.narrowMm),
  outlines: (o) => [slotOutline(slot(o))],
  sizeMm: (o) => o.lengthMm,
  describe: (o) => `${mm(o.lengthMm)} mm, ${mm(o.wideMm)} to ${mm(o.narrowMm)}, bent ${mm(o.bendDeg)}°`,
  slot,
}
