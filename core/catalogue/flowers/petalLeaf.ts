import { inPlace, plain, role } from './build.ts'

/** A leaf from a straight petal tip: one lying petal, pointed. */
export const petalLeaf = inPlace({
  id: 'petal-leaf',
  name: 'Leaf from a petal tip',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaf', '#6f8a4a')],
  layers: [
    plain('Leaf', 'leaf', 'petal-10', 1, 0, 0.4, {
      stiffness: 'medium',
      stroke: {
        kind: 'fan',
        spanDeg: 48,
        outMm: 7,
        tiltStartDeg: 6,
        tiltEndDeg: 12,
        curlDeg: 10,
        lipDeg: -8,
        point: 1,
        flow: 1.3,
      },
    }),
  ],
})
