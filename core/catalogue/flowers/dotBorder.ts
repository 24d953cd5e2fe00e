import { border, plain, role } from './build.ts'

/** Single small dots, evenly spaced. */
export const dotBorder = border(4, {
  id: 'dot-border',
  name: 'Dot border',
  level: 'first',
  roles: [role('dot', 'Dots', '#b98a3a')],
  layers: [
    plain('Dot', 'dot', 'round-2', 1, 0, 0, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1.2, tallMm: 1.6 },
    }),
  ],
})
