import { onNail, plain, role } from './build.ts'

/** Two rows of broad petals around a near-black button and a ring of stamens. */
export const anemone = onNail(60, {
  id: 'anemone',
  name: 'Anemone',
  level: 'first',
  roles: [role('petal', 'Petals', '#efe8d8'), role('button', 'Button and stamens', '#3a3947')],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, tallMm: 1.6, shape: 'dome' },
    }),
    plain('Outer petals', 'petal', 'petal-17', 5, 0.6, 0.8, {
      stroke: {
        kind: 'fan',
        spanDeg: 84,
        outMm: 4.4,
        tiltStartDeg: 3,
        tiltEndDeg: 12,
        curlDeg: 16,
        lipDeg: -10,
        flow: 1.45,
        ripple: { lengthMm: 12, ampMm: 0.5, power: 2.4 },
      },
    }),
    plain('Inner petals', 'petal', 'petal-13', 4, 0.5, 2.2, {
      startDeg: 40,
      stroke: {
        kind: 'fan',
        spanDeg: 92,
        outMm: 4,
        tiltStartDeg: 12,
        tiltEndDeg: 22,
        curlDeg: 16,
        lipDeg: -8,
        flow: 1.45,
        ripple: { lengthMm: 10, ampMm: 0.5, power: 2.4 },
      },
    }),
    plain('Button', 'button', 'round-5', 1, 0, 2.6, {
      stroke: { kind: 'mound', radiusMm: 3.4, tallMm: 3, shape: 'dome' },
    }),
    plain('Stamens', 'button', 'cut-1', 18, 5.6, 4.6, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
  ],
})
