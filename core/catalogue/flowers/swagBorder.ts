import { border, plain, role } from './build.ts'

/** A string that hangs from point to point, with a bead where two meet. */
export const swagBorder = border(21, {
  id: 'swag-border',
  name: 'Swags and beads',
  level: 'practised',
  roles: [role('string', 'Swags', '#e6ddc8'), role('bead', 'Beads', '#c9a86a')],
  layers: [
    plain('Swag', 'string', 'round-2', 1, 0, 0, {
      stiffness: 'soft',
      stroke: { kind: 'vine', lengthMm: 24, turnDeg: 100 },
    }),
    plain('Bead', 'bead', 'round-2', 1, 0, 0.8, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1.7, tallMm: 2.2 },
    }),
  ],
})
