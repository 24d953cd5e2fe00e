import { inPlace, plain, role } from './build.ts'

/** Three leaves from one foot, the middle one longest. */
export const leafCluster = inPlace({
  id: 'leaf-cluster',
  name: 'Cluster of three leaves',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaves', '#6f8a4a')],
  layers: [
    plain('Side leaves', 'leaf', 'leaf-7', 2, 0.6, 0.5, {
      stiffness: 'medium',
      spreadDeg: 110,
      stroke: { kind: 'leafPull', lengthMm: 15, liftDeg: 10 },
    }),
    plain('Middle leaf', 'leaf', 'leaf-7', 1, 1, 1, {
      stiffness: 'medium',
      stroke: {
        kind: 'leafPull',
        lengthMm: 19,
        liftDeg: 20,
        flow: 1.2,
        ripple: { lengthMm: 5, ampMm: 0.6, power: 1.4 },
      },
    }),
  ],
})
