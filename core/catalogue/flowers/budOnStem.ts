import { inPlace, plain, role } from './build.ts'

/** A closed bud of three petals over each other, in a green cup, on a bent stem with one leaf. */
export const budOnStem = inPlace({
  id: 'bud-on-stem',
  name: 'Bud on a stem',
  level: 'first',
  roles: [role('petal', 'Petals', '#d98f96'), role('stem', 'Stem, cup and leaf', '#6f8a4a')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 1, 0, {
      stiffness: 'medium',
      startDeg: 180,
      stroke: { kind: 'vine', lengthMm: 22, turnDeg: -26 },
    }),
    plain('Leaf', 'stem', 'leaf-7', 1, 3, 0.4, {
      stiffness: 'medium',
      startDeg: 222,
      stroke: { kind: 'leafPull', lengthMm: 13, liftDeg: 10, flow: 1.2 },
    }),
    plain('Outer petals', 'petal', 'petal-10', 2, 0, 0.5, {
      spreadDeg: 34,
      stroke: {
        kind: 'fan',
        spanDeg: 62,
        outMm: 2,
        tiltStartDeg: 16,
        tiltEndDeg: 24,
        curlDeg: 34,
        flow: 1.2,
      },
    }),
    plain('Front petal', 'petal', 'petal-10', 1, 0.2, 2.2, {
      stroke: {
        kind: 'fan',
        spanDeg: 60,
        outMm: 1.2,
        tiltStartDeg: 24,
        tiltEndDeg: 30,
        curlDeg: 40,
        flow: 1.2,
      },
    }),
    plain('Cup', 'stem', 'round-3', 1, 0.8, 0.4, {
      stiffness: 'medium',
      startDeg: 180,
      stroke: { kind: 'dot', radiusMm: 1.8, tallMm: 3 },
    }),
    plain('Sepals', 'stem', 'round-1-5', 3, 1, 2.6, {
      stiffness: 'medium',
      spreadDeg: 120,
      stroke: { kind: 'comma', lengthMm: 5.5, turnDeg: 0, swell: 1.2 },
    }),
  ],
})
