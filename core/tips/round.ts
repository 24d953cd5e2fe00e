import { z } from 'zod'
import { circleOutline, mm, type TipFamily } from './family.ts'

const schema = z.object({
  family: z.literal('round'),
  diameterMm: z.number().min(0.8).max(20),
})

/** Circle: dots, strings, stamens, beads, writing, mounds, base coats. */
export const round: TipFamily<typeof schema> = {
  label: 'round',
  schema,
  areaMm2: (o) => (Math.PI * o.diameterMm ** 2) / 4,
  outlines: (o) => [circleOutline(o.diameterMm / 2)],
  sizeMm: (o) => o.diameterMm,
  describe: (o) => `${mm(o.diameterMm)} mm`,
  slot: () => null,
}
