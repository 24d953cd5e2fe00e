import { inPlace, plain, role } from './build.ts'

/** A flat rosette from the middle outwards. */
export const rosette = inPlace({
  id: 'rosette',
  name: 'Rosette',
  level: 'first',
  roles: [role('rope', 'Rosette', '#d7cdb8')],
  layers: [
    plain('Rosette', 'rope', 'star-13-8', 1, 0, 4, {
      stiffness: 'medium',
      stroke: { kind: 'rosette', outerMm: 10.4, turns: 2 },
    }),
  ],
})
