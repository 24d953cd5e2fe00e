import { z } from 'zod'
import { line } from './profile.ts'
import { revolution } from './revolution.ts'
import type { SurfaceDefinition } from './surface.ts'

const schema = z.object({
  kind: z.literal('cookie'),
  diameterMm: z
    .number()
    .min(20, 'A cookie is at least 20 mm across.')
    .max(250, 'A cookie is at most 250 mm across.'),
})

/** Round cookie. */
export const cookie: SurfaceDefinition<typeof schema> = {
  label: 'cookie',
  plural: 'cookies',
  schema,
  bodies: (s) => [{ label: '', seenMm2: (Math.PI * s.diameterMm ** 2) / 4, coveredMm2: 0, fillingMm2: null }],
  topAreaMm2: (s) => (Math.PI * s.diameterMm ** 2) / 4,
  topAcrossMm: (s) => s.diameterMm,
  topRiseMm: () => 0,
  edges: (s) => [{ id: 'top', tier: 0, label: 'rim', loopsMm: [Math.PI * s.diameterMm] }],
  chart: ({ diameterMm }) =>
    revolution({
      stretches: [line('top', 0, [0, 0], [diameterMm / 2, 0])],
      joints: new Set(),
      walled: false,
      labelOf: () => 'top',
    }),
  describe: (s, length) => `${length(s.diameterMm)} round`,
}
