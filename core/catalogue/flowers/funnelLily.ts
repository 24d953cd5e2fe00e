import { onNail, plain, role, striped } from './build.ts'

/** A one-piece funnel with six points, rolled open, around a thick spadix. */
export const funnelLily = onNail(50, {
  id: 'funnel-lily',
  name: 'Funnel lily',
  level: 'skilled',
  roles: [
    role('petal', 'Funnel', '#f2ead6'),
    role('throat', 'Throat', '#a9b46c'),
    role('stamen', 'Spadix', '#c99a2e'),
  ],
  layers: [
    striped('Funnel', ['throat', 'petal', 0.22], 'petal-22', 1, 2, 0.5, {
      stroke: {
        kind: 'funnel',
        tiltFootDeg: 8,
        tiltRimDeg: 70,
        lobes: 6,
        lobeDepth: 0.34,
        lipDeg: 30,
        flow: 1.3,
      },
    }),
    plain('Spadix', 'stamen', 'round-3', 1, 0, 1.4, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 13, taper: 0.22 },
    }),
  ],
})
