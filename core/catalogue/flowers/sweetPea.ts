import { inPlace, plain, role } from './build.ts'

/** One wide ruffled back petal, two wings, a keel and a green calyx. */
export const sweetPea = inPlace({
  id: 'sweet-pea',
  name: 'Sweet pea',
  level: 'first',
  roles: [
    role('back', 'Back petal', '#cdb6d6'),
    role('wing', 'Wings and keel', '#e5d5e4'),
    role('calyx', 'Calyx', '#7c8a55'),
  ],
  layers: [
    plain('Back petal', 'back', 'petal-13', 1, 0, 0.8, {
      stroke: {
        kind: 'fan',
        spanDeg: 150,
        outMm: 2.4,
        tiltStartDeg: 26,
        tiltEndDeg: 32,
        curlDeg: 18,
        flow: 1.5,
        ripple: { lengthMm: 7, ampMm: 1, power: 2 },
      },
    }),
    plain('Wings', 'wing', 'petal-10', 2, 0, 2.2, {
      spreadDeg: 70,
      stroke: {
        kind: 'fan',
        spanDeg: 70,
        outMm: 1.6,
        tiltStartDeg: 34,
        tiltEndDeg: 44,
        curlDeg: 14,
        flow: 1.4,
      },
    }),
    plain('Keel', 'wing', 'round-3', 1, 1.6, 2.4, { stroke: { kind: 'dot', radiusMm: 1.8, tallMm: 3.2 } }),
    plain('Calyx', 'calyx', 'round-2', 3, 0, 0.4, {
      stiffness: 'medium',
      startDeg: 180,
      spreadDeg: 80,
      stroke: { kind: 'spike', tallMm: 6, leanDeg: 70 },
    }),
  ],
})
