import { onNail, plain, role } from './build.ts'

/** Two rows of shallow pulled petals and a dotted centre. */
export const daisy = onNail(50, {
  id: 'daisy',
  name: 'Daisy',
  level: 'first',
  roles: [role('petal', 'Petals', '#f6f1e2'), role('centre', 'Centre', '#e0a82e')],
  layers: [
    plain('Outer petals', 'petal', 'moon-7', 11, 2.6, 0.6, {
      stiffness: 'medium',
      stroke: {
        kind: 'scoop',
        lengthMm: 17,
        riseStartDeg: 6,
        riseEndDeg: -4,
        startScale: 0.4,
        endScale: 0.5,
        flow: 0.6,
      },
    }),
    plain('Inner petals', 'petal', 'moon-7', 11, 2.6, 1.7, {
      stiffness: 'medium',
      startDeg: 16,
      stroke: {
        kind: 'scoop',
        lengthMm: 15,
        riseStartDeg: 14,
        riseEndDeg: 2,
        startScale: 0.4,
        endScale: 0.5,
        flow: 0.6,
      },
    }),
    plain('Centre', 'centre', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, tallMm: 2.6, shape: 'dome' },
    }),
    plain('Dots', 'centre', 'round-1-5', 10, 2.9, 1.4, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.7, tallMm: 1.1 },
    }),
    plain('Inner dots', 'centre', 'round-1-5', 5, 1.1, 2.2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.7, tallMm: 1.1 },
    }),
  ],
})
