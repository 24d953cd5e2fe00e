import { inPlace, plain, role } from './build.ts'

/** A ribbed seed head: a plump drop with a crown of short spikes. */
export const seedHead = inPlace({
  id: 'seed-head',
  name: 'Seed head',
  level: 'first',
  roles: [role('pod', 'Pod', '#b79a5e'), role('crown', 'Crown', '#7d6638')],
  layers: [
    plain('Pod', 'pod', 'star-9-6', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 8, swell: 1.2 },
    }),
    plain('Crown', 'crown', 'round-1', 7, 1.8, 6.2, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 4, leanDeg: 42 },
    }),
  ],
})
