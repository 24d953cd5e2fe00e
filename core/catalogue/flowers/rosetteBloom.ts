import { inPlace, plain, role } from './build.ts'

/** A rosette from the middle outwards, with stamens in its heart and a leaf to each side. */
export const rosetteBloom = inPlace({
  id: 'rosette-bloom',
  name: 'Rosette with stamens and leaves',
  level: 'first',
  roles: [
    role('rope', 'Rosette', '#cf9aa4'),
    role('stamen', 'Stamens', '#e4c15a'),
    role('leaf', 'Leaves', '#6f8a4a'),
  ],
  layers: [
    plain('Leaves', 'leaf', 'leaf-10', 2, 11, 0.4, {
      stiffness: 'medium',
      startDeg: 25,
      spreadDeg: 150,
      stroke: { kind: 'leafPull', lengthMm: 19, liftDeg: 10, flow: 1.2 },
    }),
    plain('Rosette', 'rope', 'star-13-8', 1, 0, 4, {
      stiffness: 'medium',
      stroke: { kind: 'rosette', outerMm: 10.4, turns: 2 },
    }),
    plain('Stamens', 'stamen', 'round-2', 5, 1.9, 7, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.6 },
    }),
    plain('Middle stamen', 'stamen', 'round-2', 1, 0, 7, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.8 },
    }),
  ],
})
