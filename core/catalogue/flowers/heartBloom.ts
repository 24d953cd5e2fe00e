import { onNail, plain, role, striped } from './build.ts'

/** Five heart-shaped petals, each of two short halves that meet in a notch. */
export const heartBloom = onNail(50, {
  id: 'heart-bloom',
  name: 'Heart-petal bloom',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#cf8e9c'),
    role('throat', 'Throat', '#f0e2c8'),
    role('eye', 'Eye', '#c9a13a'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 3.4, topMm: 0, tallMm: 1.4, shape: 'dome' },
    }),
    striped('Left halves', ['throat', 'petal', 0.3], 'petal-13', 5, 0.4, 0.9, {
      startDeg: -9,
      stroke: {
        kind: 'fan',
        spanDeg: 50,
        outMm: 3.8,
        tiltStartDeg: 4,
        tiltEndDeg: 10,
        curlDeg: 14,
        lipDeg: -12,
        sideMm: 0.4,
        point: 0.2,
        flow: 1.45,
      },
    }),
    striped('Right halves', ['throat', 'petal', 0.3], 'petal-13', 5, 0.4, 1.3, {
      startDeg: 9,
      stroke: {
        kind: 'fan',
        spanDeg: 50,
        outMm: 3.8,
        tiltStartDeg: 4,
        tiltEndDeg: 10,
        curlDeg: 14,
        lipDeg: -12,
        sideMm: 0.4,
        point: 0.2,
        flow: 1.45,
      },
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 2.2, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 1.5, tallMm: 2 },
    }),
  ],
})
