import { border, plain, role } from './build.ts'

/** Small rosettes, touching. */
export const rosetteBorder = border(14, {
  id: 'rosette-border',
  name: 'Rosette border',
  level: 'first',
  roles: [role('rope', 'Rosettes', '#d7cdb8')],
  layers: [
    plain('Rosette', 'rope', 'star-6-5', 1, 0, 2, {
      stiffness: 'medium',
      stroke: { kind: 'rosette', outerMm: 4.4, turns: 1.6 },
    }),
  ],
})
