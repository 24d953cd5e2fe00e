import { inPlace, plain, role } from './build.ts'

/** A plump pod with a flat crown of rays. */
export const seedHead = inPlace({
  id: 'seed-head',
  name: 'Seed head',
  level: 'first',
  roles: [role('pod', 'Pod', '#b79a5e'), role('crown', 'Crown', '#7d6638')],
  layers: [
    plain('Pod', 'pod', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4.4, topMm: 0, tallMm: 7, shape: 'dome' },
    }),
    plain('Crown', 'crown', 'round-1-5', 9, 0.4, 6.6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 3.6, leanDeg: 80, taper: 0.35 },
    }),
    plain('Middle', 'crown', 'round-1-5', 1, 0, 7, {
      stiffness: 'medium',
      stroke: { kind: 'dot', radiusMm: 0.8, tallMm: 1.1 },
    }),
  ],
})
