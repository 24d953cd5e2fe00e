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
    plain('Back petal', 'back', 'petal-13', 2, 0, 0.8, {
      spreadDeg: 74,
      stroke: {
        kind: 'fan',
        spanDeg: 96,
        outMm: 2.6,
        tiltStartDeg: 18,
        tiltEndDeg: 24,
        curlDeg: 14,
        flow: 1.2,
        ripple: { lengthMm: 8, ampMm: 0.9, power: 2 },
      },
    }),
    plain('Wings', 'wing', 'petal-10', 2, 0.4, 2.4, {
      spreadDeg: 52,
      stroke: {
        kind: 'fan',
        spanDeg: 84,
        outMm: 0.8,
        tiltStartDeg: 30,
        tiltEndDeg: 38,
        curlDeg: 30,
        flow: 1.1,
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
