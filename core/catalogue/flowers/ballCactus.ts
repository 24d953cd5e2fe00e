import { onNail, plain, role } from './build.ts'

/** A ribbed ball squeezed through a star, with spines along it and a small flower on top. */
export const ballCactus = onNail(40, {
  id: 'ball-cactus',
  name: 'Ball cactus',
  form: 'leaf',
  level: 'first',
  roles: [
    role('ball', 'Cactus', '#6f9270'),
    role('spine', 'Spines', '#efe8d0'),
    role('petal', 'Flower', '#cf7f95'),
  ],
  layers: [
    plain('Ball', 'ball', 'star-13-8', 1, 0, 0, {
      stroke: { kind: 'dropStar', tallMm: 13, swell: 1.8 },
    }),
    plain('Lower spines', 'spine', 'cut-1', 13, 6.6, 3, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 1.8, leanDeg: 75 },
    }),
    plain('Upper spines', 'spine', 'cut-1', 13, 5.6, 7, {
      stiffness: 'medium',
      startDeg: 14,
      stroke: { kind: 'spike', tallMm: 1.8, leanDeg: 55 },
    }),
    plain('Petals', 'petal', 'round-2', 6, 1.6, 11.4, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 4, leanDeg: 50, taper: 0.5 },
    }),
    plain('Eye', 'spine', 'cut-1', 1, 0, 12, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.8, tallMm: 1.2 },
    }),
  ],
})
