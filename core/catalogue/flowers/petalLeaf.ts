import { inPlace, plain, role } from './build.ts'

/** A leaf pulled from a straight petal tip, for whoever has no leaf opening at hand. */
export const petalLeaf = inPlace({
  id: 'petal-leaf',
  name: 'Leaf from a petal tip',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaf', '#6f8a4a')],
  layers: [
    plain('Leaf', 'leaf', 'petal-10', 1, 0, 0.4, {
      stiffness: 'medium',
      stroke: { kind: 'leafPull', lengthMm: 18, widthScale: 0.75, liftDeg: 8, trough: 0.2, flow: 1.1 },
    }),
  ],
})
