import { inPlace, plain, role } from './build.ts'

/** One leaf with a shake of the hand: ruffled edges, a deep vein. */
export const ruffledLeaf = inPlace({
  id: 'ruffled-leaf',
  name: 'Ruffled leaf',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaf', '#7d9358')],
  layers: [
    plain('Leaf', 'leaf', 'leaf-10', 1, 0, 0.6, {
      stiffness: 'medium',
      stroke: {
        kind: 'leafPull',
        lengthMm: 24,
        widthScale: 1.25,
        liftDeg: 12,
        trough: 0.34,
        flow: 1.4,
        ripple: { lengthMm: 5, ampMm: 0.8, power: 1.3 },
      },
    }),
  ],
})
