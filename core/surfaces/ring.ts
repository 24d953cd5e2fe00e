import { z } from 'zod'
import { arc, line } from './profile.ts'
import { revolution } from './revolution.ts'
import type { SurfaceDefinition } from './surface.ts'

/** A ring is left at least so wide, mm. */
const LEAST_MM = 15
const ROUND_MM = 6

const fields = z.object({
  kind: z.literal('ring'),
  diameterMm: z
    .number()
    .min(80, 'A ring is at least 80 mm across.')
    .max(600, 'A ring is at most 600 mm across.'),
  holeMm: z.number().min(15, 'A hole is at least 15 mm across.').max(450, 'A hole is at most 450 mm across.'),
  heightMm: z.number().min(15, 'At least 15 mm high.').max(200, 'At most 200 mm high.'),
})
const schema = fields.refine(({ diameterMm, holeMm }) => diameterMm - holeMm >= 2 * LEAST_MM, {
  path: ['holeMm'],
  message: `The hole leaves a ring at least ${LEAST_MM} mm wide: make it smaller, or the cake wider.`,
})
type Ring = z.infer<typeof schema>

const topMm2 = (s: Ring) => (Math.PI * (s.diameterMm ** 2 - s.holeMm ** 2)) / 4

/** Round cake with a hole through its middle. */
export const ring: SurfaceDefinition<typeof schema> = {
  label: 'ring cake',
  plural: 'ring cakes',
  schema,
  bodies: (s) => [
    {
      label: '',
      seenMm2: topMm2(s) + Math.PI * (s.diameterMm + s.holeMm) * s.heightMm,
      coveredMm2: 0,
      fillingMm2: topMm2(s),
    },
  ],
  topAreaMm2: topMm2,
  topAcrossMm: (s) => (s.diameterMm - s.holeMm) / 2,
  topRiseMm: () => 0,
  edges: (s) => [
    { id: 'top', tier: 0, label: 'top edge', loopsMm: [Math.PI * s.diameterMm] },
    { id: 'foot', tier: 0, label: 'foot', loopsMm: [Math.PI * s.diameterMm] },
  ],
  chart: (s) => {
    const [inner, outer, high] = [s.holeMm / 2, s.diameterMm / 2, s.heightMm]
    const round = Math.min(ROUND_MM, high / 2, (outer - inner) / 2)
    const middle: [number, number] = [outer - round, high - round]
    return revolution({
      stretches: [
        line('top', 0, [inner, high], [outer - round, high]),
        arc('top', 0, middle, round, Math.PI / 2, Math.PI / 4),
        arc('side', 0, middle, round, Math.PI / 4, 0),
        line('side', 0, [outer, high - round], [outer, 0]),
      ],
      // seen, but nobody pipes flowers in there
      bare: [line('side', 0, [inner, 0], [inner, high])],
      joints: new Set(),
      walled: true,
      labelOf: (zone) => zone,
    })
  },
  describe: (s, length) =>
    `ring, ${length(s.diameterMm)} round, hole ${length(s.holeMm)}, ${length(s.heightMm)} high`,
}
