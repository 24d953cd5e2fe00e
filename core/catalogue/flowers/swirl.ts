import { inPlace, plain, role } from './build.ts'

/** A tall swirl from the rim of the cupcake to a point. */
export const swirl = inPlace({
  id: 'swirl',
  name: 'Swirl',
  level: 'first',
  roles: [role('rope', 'Swirl', '#e6ddc8')],
  layers: [
    plain('Swirl', 'rope', 'star-13-8', 1, 0, 5, {
      stiffness: 'medium',
      stroke: { kind: 'rosette', outerMm: 21, turns: 3.2, riseMm: 29, scale: 1.24 },
    }),
  ],
})
