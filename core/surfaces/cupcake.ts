import { z } from 'zod'
import { arc, line } from './profile.ts'
import { revolution } from './revolution.ts'
import type { SurfaceDefinition } from './surface.ts'

const schema = z.object({
  kind: z.literal('cupcake'),
  diameterMm: z
    .number()
    .min(30, 'A cupcake is at least 30 mm across.')
    .max(110, 'A cupcake is at most 110 mm across.'),
  /** Height of the dome above the rim; 0 for a flat top. */
  domeMm: z.number().min(0).max(40),
})

const discOutline = (radiusMm: number) => ({
  stretches: [line('top', 0, [0, 0], [radiusMm, 0])],
  joints: new Set<number>(),
  walled: false,
  labelOf: () => 'top',
})

/** Cupcake: flat, or domed like a spherical cap. */
export const cupcake: SurfaceDefinition<typeof schema> = {
  label: 'cupcake',
  plural: 'cupcakes',
  schema,
  // spherical cap: pi (a² + h²)
  bodies: (s) => [
    {
      label: '',
      seenMm2: Math.PI * ((s.diameterMm / 2) ** 2 + s.domeMm ** 2),
      coveredMm2: 0,
      fillingMm2: null,
    },
  ],
  topAreaMm2: (s) => (Math.PI * s.diameterMm ** 2) / 4,
  topAcrossMm: (s) => s.diameterMm,
  topRiseMm: (s) => s.domeMm,
  edges: (s) => [{ id: 'top', tier: 0, label: 'rim', loopsMm: [Math.PI * s.diameterMm] }],
  chart: ({ diameterMm, domeMm }) => {
    const rim = diameterMm / 2
    if (domeMm === 0) return revolution(discOutline(rim))
    // the ball that the dome is cut from
    const ball = (rim ** 2 + domeMm ** 2) / (2 * domeMm)
    const middle = domeMm - ball
    const stretch = arc('top', 0, [0, middle], ball, Math.PI / 2, Math.atan2(-middle, rim))
    return revolution({ ...discOutline(rim), stretches: [stretch] })
  },
  describe: (s, length) => `${length(s.diameterMm)}, ${s.domeMm > 0 ? `domed ${length(s.domeMm)}` : 'flat'}`,
}
