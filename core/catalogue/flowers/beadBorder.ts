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
      stroke: { kind: 'shell', lengthMm: 6.5, swell: 1.25, taper: 0.3 },
    }),
  ],
})
