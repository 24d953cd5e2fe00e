import { inPlace, plain, role } from './build.ts'

/** A hanging spray: a bent stem with drops that grow smaller towards its end. */
export const raceme = inPlace({
  id: 'raceme',
  name: 'Hanging raceme',
  level: 'first',
  roles: [role('bud', 'Buds', '#b7a3cf'), role('stem', 'Stem', '#74834d')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 46, turnDeg: 60, taper: 0.4 },
    }),
    plain('Trail', 'bud', 'round-4', 1, 6, 0.4, {
      stiffness: 'medium',
      startDeg: 4,
      stroke: { kind: 'beadTrail', lengthMm: 40, beads: 9, turnDeg: 52, taper: 0.7, swell: 1.2 },
    }),
  ],
})
