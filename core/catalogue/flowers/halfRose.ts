import { inPlace, plain, role } from './build.ts'

/** A rose seen from the side: half the petals, with hip and sepals. */
export const halfRose = inPlace({
  id: 'half-rose',
  name: 'Half rose',
  level: 'practised',
  roles: [role('petal', 'Petals', '#d98f96'), role('sepal', 'Hip and sepals', '#6f8a4a')],
  layers: [
    plain('Foot', 'petal', 'round-6', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 3.4, shape: 'dome' },
    }),
    plain('Back petals', 'petal', 'petal-13', 3, 0.4, 1, {
      spreadDeg: 100,
      stroke: {
        kind: 'fan',
        spanDeg: 58,
        outMm: 4,
        tiltStartDeg: 20,
        tiltEndDeg: 30,
        curlDeg: 24,
        lipDeg: 10,
        point: 0,
        flow: 1.4,
      },
    }),
    plain('Front petals', 'petal', 'petal-10', 3, 0.2, 2.4, {
      spreadDeg: 90,
      stroke: {
        kind: 'fan',
        spanDeg: 64,
        outMm: 3,
        tiltStartDeg: 30,
        tiltEndDeg: 42,
        curlDeg: 30,
        lipDeg: 14,
        point: 0,
        flow: 1.4,
      },
    }),
    plain('Hip', 'sepal', 'round-3', 1, 3.4, 0.4, {
      stiffness: 'medium',
      startDeg: 180,
      stroke: { kind: 'dot', radiusMm: 2.4, tallMm: 3.6 },
    }),
    plain('Sepals', 'sepal', 'round-1-5', 3, 1.6, 1.2, {
      stiffness: 'medium',
      startDeg: 0,
      spreadDeg: 110,
      stroke: { kind: 'comma', lengthMm: 8, turnDeg: 20 },
    }),
  ],
})
