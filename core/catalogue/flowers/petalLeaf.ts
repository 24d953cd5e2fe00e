import { inPlace, plain, role, toolStep } from './build.ts'

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
      tools: [toolStep({ kind: 'vein', deepMm: 0.7, widthMm: 1.8, pairs: 4 })],
      stroke: { kind: 'leafPull', lengthMm: 18, widthScale: 0.75, liftDeg: 8, trough: 0.2, flow: 1.1 },
    }),
  ],
})
