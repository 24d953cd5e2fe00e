import { onNail, plain, role, striped } from './build.ts'

/** Five petals that run to a soft point, pale with a flush at the throat, and long stamens with tips. */
export const cherryBlossom = onNail(40, {
  id: 'cherry-blossom',
  name: 'Cherry blossom',
  level: 'first',
  roles: [
    role('petal', 'Petals', '#f3dde0'),
    role('throat', 'Throat', '#cf7f93'),
    role('stamen', 'Stamens', '#b4586e'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-3', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 2.6, topMm: 0, tallMm: 1.2, shape: 'dome' },
    }),
    striped('Petals', ['throat', 'petal', 0.24], 'petal-10', 5, 0.3, 0.8, {
      startDeg: 90,
      stroke: {
        kind: 'fan',
        spanDeg: 76,
        outMm: 4.4,
        tiltStartDeg: 4,
        tiltEndDeg: 14,
        curlDeg: 22,
        lipDeg: -8,
        point: 0.35,
        flow: 1.2,
      },
    }),
    plain('Stamens', 'stamen', 'cut-1', 9, 0.8, 1.6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 5, leanDeg: 52, taper: 0.3 },
    }),
    plain('Tips', 'stamen', 'cut-1', 9, 4.6, 3.8, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.5, tallMm: 0.8 },
    }),
  ],
})
