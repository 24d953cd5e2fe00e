import { z } from 'zod'
import type { SurfaceDefinition } from './surface.ts'

const schema = z.object({
  kind: z.literal('tier'),
  diameterMm: z
    .number()
    .min(60, 'A tier is at least 60 mm across.')
    .max(600, 'A tier is at most 600 mm across.'),
  heightMm: z.number().min(20, 'A tier is at least 20 mm high.').max(400, 'A tier is at most 400 mm high.'),
  /** Diameter of the tier that will stand on this one; 0 for the top tier. */
  coveredMm: z.number().min(0).max(600).default(0),
})

type Tier = z.infer<typeof schema>

const wholeMm2 = (s: Tier) => (Math.PI * s.diameterMm ** 2) / 4 + Math.PI * s.diameterMm * s.heightMm
const coveredMm2 = (s: Tier) => (Math.PI * Math.min(s.coveredMm, s.diameterMm) ** 2) / 4

/** Round cake tier: top and side; the ring left around an upper tier is what flowers can stand on. */
export const tier: SurfaceDefinition<typeof schema> = {
  label: 'cake tier',
  plural: 'cake tiers',
  schema,
  coatAreaMm2: (s) => wholeMm2(s) - coveredMm2(s),
  coveredAreaMm2: coveredMm2,
  topAreaMm2: (s) => wholeMm2(s) - coveredMm2(s),
  topAcrossMm: (s) =>
    s.coveredMm > 0 ? Math.max(s.heightMm, (s.diameterMm - s.coveredMm) / 2) : s.diameterMm,
  fillingAreaMm2: (s) => (Math.PI * s.diameterMm ** 2) / 4,
  topRiseMm: () => 0,
  edges: (s) => [
    { id: 'top', label: 'top edge', lengthMm: Math.PI * s.diameterMm },
    { id: 'foot', label: 'foot', lengthMm: Math.PI * s.diameterMm },
  ],
  describe: (s, length) => `${length(s.diameterMm)} × ${length(s.heightMm)}`,
}
