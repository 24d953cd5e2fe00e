import { onNail, plain, role } from './build.ts'

/** Ruffled outer petals around a pincushion of pale dots. */
export const scabious = onNail(50, {
  id: 'scabious',
  name: 'Scabious',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#9c94c4'),
    role('cushion', 'Cushion', '#d9d3e4'),
    role('dots', 'Dots', '#f1eee2'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 7, tallMm: 2, shape: 'dome' },
    }),
    plain('Outer petals', 'petal', 'curve-11', 9, 4.2, 0.8, {
      stroke: {
        kind: 'fan',
        spanDeg: 52,
        sideMm: 2,
        outMm: 4.4,
        tiltStartDeg: 6,
        tiltEndDeg: 13,
        curlDeg: 14,
        flow: 1.5,
        ripple: { lengthMm: 6, ampMm: 0.7, power: 2 },
      },
    }),
    plain('Inner petals', 'petal', 'curve-8', 8, 3.4, 2.2, {
      startDeg: 20,
      stroke: {
        kind: 'fan',
        spanDeg: 52,
        outMm: 2.6,
        tiltStartDeg: 18,
        tiltEndDeg: 26,
        curlDeg: 10,
        flow: 1.5,
        ripple: { lengthMm: 5, ampMm: 0.6, power: 2 },
      },
    }),
    plain('Cushion', 'cushion', 'round-5', 1, 0, 1.4, {
      stroke: { kind: 'mound', radiusMm: 5.4, tallMm: 4, shape: 'dome' },
    }),
    plain('Ring of dots', 'dots', 'cut-1', 16, 4.8, 2.8, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.7, tallMm: 1.2 },
    }),
    plain('Middle dots', 'dots', 'cut-1', 10, 2.6, 4.7, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 1.1 },
    }),
  ],
})
