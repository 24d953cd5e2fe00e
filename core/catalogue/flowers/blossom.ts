import { onNail, plain, role, striped } from './build.ts'

/** Five lying petals with a darker throat, and a cluster of stamens. */
export const blossom = onNail(40, {
  id: 'blossom',
  name: 'Five-petal blossom',
  level: 'first',
  roles: [
    role('petal', 'Petals', '#f0cdd2'),
    role('throat', 'Throat', '#b9476d'),
    role('stamen', 'Stamens', '#d9a520'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 3.2, tallMm: 1.5, shape: 'dome' },
    }),
    striped('Petals', ['throat', 'petal', 0.36], 'petal-13', 5, 0.2, 1, {
      stroke: {
        kind: 'fan',
        spanDeg: 88,
        outMm: 3.4,
        tiltStartDeg: 3,
        tiltEndDeg: 14,
        curlDeg: 22,
        lipDeg: -34,
        flow: 1.6,
        ripple: { lengthMm: 10, ampMm: 0.45, power: 2.4 },
      },
    }),
    plain('Stamens', 'stamen', 'round-2', 5, 1.7, 2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.6 },
    }),
    plain('Middle stamen', 'stamen', 'round-2', 1, 0, 2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.6 },
    }),
  ],
})
