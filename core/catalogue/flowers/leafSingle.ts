import { inPlace, plain, role } from './build.ts'

/** One smooth leaf pulled to a point. */
export const leafSingle = inPlace({
  id: 'leaf',
  name: 'Leaf',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaf', '#6f8a4a')],
  layers: [
    plain('Leaf', 'leaf', 'leaf-10', 1, 0, 0.5, {
      stiffness: 'medium',
      stroke: { kind: 'leafPull', lengthMm: 20, liftDeg: 14, flow: 1.3 },
    }),
  ],
})
