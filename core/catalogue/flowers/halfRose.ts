import { inPlace, plain, role } from './build.ts'

/** A rose seen from the side: half the petals, with hip and sepals. */
export const halfRose = inPlace({
  id: 'half-rose',
  name: 'Half rose',
  level: 'practised',
  roles: [role('petal', 'Petals', '#d98f96'), role('sepal', 'Hip and sepals', '#6f8a4a')],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 3.4, shape: 'dome' },
    }),
    plain('Back petals', 'petal', 'petal-13', 3, 0.6, 0.6, {
      spreadDeg: 96,
      stroke: {
        kind: 'fan',
        spanDeg: 92,
        outMm: 3.4,
        tiltStartDeg: 10,
        tiltEndDeg: 18,
        curlDeg: 16,
        lipDeg: 14,
        flow: 1.1,
      },
    }),
    plain('Middle petals', 'petal', 'petal-13', 2, 0.4, 2.2, {
      spreadDeg: 56,
      stroke: {
        kind: 'fan',
        spanDeg: 96,
        outMm: 1.4,
        tiltStartDeg: 22,
        tiltEndDeg: 30,
        curlDeg: 34,
        lipDeg: 16,
        flow: 1.1,
      },
    }),
    plain('Front petals', 'petal', 'petal-10', 2, 0.2, 4, {
      spreadDeg: 44,
      stroke: {
        kind: 'fan',
        spanDeg: 100,
        outMm: 0.8,
        tiltStartDeg: 30,
        tiltEndDeg: 40,
        curlDeg: 46,
        lipDeg: 10,
        flow: 1.1,
      },
    }),
    plain('Hip', 'sepal', 'round-3', 1, 2.2, 0.4, {
      stiffness: 'medium',
      startDeg: 180,
      stroke: { kind: 'dot', radiusMm: 2.2, tallMm: 4.4 },
    }),
    plain('Sepals', 'sepal', 'round-1-5', 3, 1.6, 3, {
      stiffness: 'medium',
      startDeg: 0,
      spreadDeg: 130,
      stroke: { kind: 'comma', lengthMm: 7, turnDeg: 0, swell: 1.3 },
    }),
    plain('Stem', 'sepal', 'round-2', 1, 3.6, 0.2, {
      stiffness: 'medium',
      startDeg: 180,
      stroke: { kind: 'vine', lengthMm: 9, turnDeg: 24, taper: 0.2 },
    }),
  ],
})
