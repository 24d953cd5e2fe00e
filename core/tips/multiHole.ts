import { z } from 'zod'
import { circleOutline, mm, type TipFamily } from './family.ts'

const schema = z.object({
  family: z.literal('multiHole'),
  holes: z.number().int().min(3).max(40),
  holeMm: z.number().min(0.6).max(4),
})
type MultiHole = z.infer<typeof schema>

/** Holes in rings of 6, 12, 18… around one in the middle, two hole widths apart. */
function outlines(o: MultiHole) {
  const made = [circleOutline(o.holeMm / 2, 16)]
  for (let ring = 1; made.length < o.holes; ring++) {
    const here = Math.min(6 * ring, o.holes - made.length)
    for (let i = 0; i < here; i++) {
      const angle = (2 * Math.PI * i) / here
      const r = 2 * o.holeMm * ring
      made.push(circleOutline(o.holeMm / 2, 16, r * Math.cos(angle), r * Math.sin(angle)))
    }
  }
  return made
}

/** Many small holes: grass and fur. */
export const multiHole: TipFamily<typeof schema> = {
  label: 'multi-hole',
  schema,
  areaMm2: (o) => (o.holes * Math.PI * o.holeMm ** 2) / 4,
  outlines,
  sizeMm: (o) => o.holeMm,
  spanMm: (o) => 2 * Math.max(...outlines(o).flatMap((outline) => outline.map(([x, y]) => Math.hypot(x, y)))),
  describe: (o) => `${o.holes} holes of ${mm(o.holeMm)} mm`,
  slot: () => null,
}
