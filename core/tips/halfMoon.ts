import { z } from 'zod'
import { mm, type TipFamily } from './family.ts'
import { slotOutline } from './slot.ts'

const schema = z
  .object({
    family: z.literal('halfMoon'),
    widthMm: z.number().min(2).max(15),
    wallMm: z.number().min(0.4).max(3),
    arcDeg: z.number().min(30).max(220),
  })
  .refine((o) => o.wallMm < o.widthMm / 2, {
    path: ['wallMm'],
    message: 'The wall must be thinner than half the width, or the opening closes.',
  })
type HalfMoon = z.infer<typeof schema>

const radians = (deg: number) => (deg * Math.PI) / 180

/** Radius in mm of the wall's middle line: an arc under 180° is measured across its chord. */
function middleRadius(o: HalfMoon): number {
  const half = radians(Math.min(o.arcDeg, 180) / 2)
  return (o.widthMm - o.wallMm) / (2 * Math.sin(half))
}

/** Along the middle of the wall, a half disc at either end included, mm. */
const slotLength = (o: HalfMoon) => middleRadius(o) * radians(o.arcDeg) + o.wallMm

const slot = (o: HalfMoon) => ({
  lengthMm: slotLength(o),
  // the ends bend on with the wall: spread over them as well, the arc alone would make the U wider than it is
  bendDeg: ((slotLength(o) / middleRadius(o)) * 180) / Math.PI,
  widthAt: (u: number) => {
    const length = slotLength(o)
    const x = Math.max(0, 1 - (Math.min(u, 1 - u) * length) / (o.wallMm / 2))
    return o.wallMm * Math.sqrt(1 - Math.min(1, x) ** 2)
  },
})

/** U-shaped slot of even wall: chrysanthemums and other scooped petals. */
export const halfMoon: TipFamily<typeof schema> = {
  label: 'half-moon',
  schema,
  areaMm2: (o) => middleRadius(o) * radians(o.arcDeg) * o.wallMm + (Math.PI * o.wallMm ** 2) / 4,
  outlines: (o) => [slotOutline(slot(o), 60)],
  sizeMm: (o) => o.widthMm,
  describe: (o) => `${mm(o.widthMm)} mm, wall ${mm(o.wallMm)}`,
  slot,
}
