import { inPlace, plain, role } from './build.ts'

/** Seven drop stars close together, each with its eye, and three leaves pulled out from under them. */
export const dropCluster = inPlace({
  id: 'drop-cluster',
  name: 'Cluster of drop stars',
  level: 'first',
  roles: [
    role('star', 'Stars', '#dbb3bd'),
    role('middle', 'Middle star', '#c98a99'),
    role('eye', 'Eyes', '#d9a520'),
    role('leaf', 'Leaves', '#6f8a4a'),
  ],
  layers: [
    plain('Leaves', 'leaf', 'leaf-7', 3, 8, 0.4, {
      stiffness: 'medium',
      startDeg: 30,
      stroke: { kind: 'leafPull', lengthMm: 14, liftDeg: 10, flow: 1.2 },
    }),
    plain('Stars', 'star', 'star-9-6', 6, 7.4, 0, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 4, swell: 1.3, spinDeg: 60 },
    }),
    plain('Middle star', 'middle', 'star-9-6', 1, 0, 0.6, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 4.4, swell: 1.35, spinDeg: 60 },
    }),
    plain('Eyes', 'eye', 'round-2', 6, 7.4, 3.4, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.9, tallMm: 1.3 },
    }),
    plain('Middle eye', 'eye', 'round-2', 1, 0, 4.2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.9, tallMm: 1.3 },
    }),
  ],
})
