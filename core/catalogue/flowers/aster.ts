import { onNail, plain, role } from './build.ts'

/** Two rows of thin curved rays around a dotted eye. */
export const aster = onNail(40, {
  id: 'aster',
  name: 'Aster',
  level: 'first',
  roles: [role('ray', 'Rays', '#a493c8'), role('eye', 'Eye', '#d5a636')],
  layers: [
    plain('Foot', 'ray', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 1.8, shape: 'dome' },
    }),
    plain('Outer rays', 'ray', 'round-3', 20, 3, 1, {
      stiffness: 'medium',
      stroke: { kind: 'curvedSpike', lengthMm: 14, leanDeg: 86, curlDeg: 26, taper: 0.45 },
    }),
    plain('Inner rays', 'ray', 'round-2', 18, 2.6, 2.2, {
      stiffness: 'medium',
      startDeg: 9,
      stroke: { kind: 'curvedSpike', lengthMm: 11, leanDeg: 74, curlDeg: 26, taper: 0.45 },
    }),
    plain('Eye', 'eye', 'round-5', 1, 0, 2, {
      stroke: { kind: 'mound', radiusMm: 3.4, topMm: 0, tallMm: 2.6, shape: 'dome' },
    }),
    plain('Dots', 'eye', 'cut-1', 10, 2.6, 3.2, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 1 },
    }),
  ],
})
