import { border, plain, role } from './build.ts'

/** A gathered ribbon along a rim, its free edge out. */
export const ruffleBorder = border(40, {
  id: 'ruffle-border',
  name: 'Ruffle border',
  level: 'practised',
  roles: [role('ribbon', 'Ribbon', '#d8c3c8')],
  layers: [
    plain('Ribbon', 'ribbon', 'petal-10', 1, 0, 0, {
      stiffness: 'medium',
      stroke: {
        kind: 'ribbon',
        lengthMm: 41,
        tiltEndDeg: 48,
        flow: 1.4,
        ripple: { lengthMm: 7, ampMm: 1.5, power: 1.5 },
      },
    }),
  ],
})
