import { onNail, plain, role, striped } from './build.ts'

/** Five broad nodding petals, dusky at the foot, around a ruff of stamens. */
export const hellebore = onNail(50, {
  id: 'hellebore',
  name: 'Hellebore',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#8f86b2'),
    role('blush', 'Petal foot', '#5e5591'),
    role('stamen', 'Stamens', '#e9dfae'),
    role('centre', 'Centre', '#8d9a66'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, tallMm: 1.8, shape: 'dome' },
    }),
    striped('Petals', ['blush', 'petal', 0.36], 'petal-17', 5, 0.4, 1.2, {
      stroke: {
        kind: 'fan',
        spanDeg: 82,
        outMm: 4.6,
        tiltStartDeg: 6,
        tiltEndDeg: 16,
        curlDeg: 30,
        lipDeg: -16,
        point: 0.25,
        flow: 1.45,
        ripple: { lengthMm: 14, ampMm: 0.4, power: 2.4 },
      },
    }),
    plain('Stamens', 'stamen', 'cut-1', 16, 3.4, 2, {
      stiffness: 'soft',
      stroke: { kind: 'spike', tallMm: 5, leanDeg: 38, taper: 0.4, flow: 1.1 },
    }),
    plain('Anthers', 'stamen', 'cut-1', 16, 6.2, 5.6, {
      stiffness: 'soft',
      startDeg: 11,
      stroke: { kind: 'dot', radiusMm: 0.7, tallMm: 1.1 },
    }),
    plain('Centre', 'centre', 'round-2', 5, 1, 2.2, { stroke: { kind: 'spike', tallMm: 5.5, leanDeg: 10 } }),
  ],
})
