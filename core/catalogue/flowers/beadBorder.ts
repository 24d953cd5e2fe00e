import { border, plain, role } from './build.ts'

/** Round beads with a short tail, touching. */
export const beadBorder = border(5.5, {
  id: 'bead-border',
  name: 'Bead border',
  level: 'first',
  roles: [role('bead', 'Beads', '#e6ddc8')],
  layers: [
    plain('Bead', 'bead', 'round-4', 1, 0, 0, {
      stiffness: 'soft',
      stroke: { kind: 'beadTail', lengthMm: 7.5, swell: 1.3 },
    }),
  ],
})
