import { inPlace, plain, role } from './build.ts'

/** A hanging spray: a bent stem under three trails of beads that grow smaller towards its end. */
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
    plain('Inner trail', 'bud', 'round-3', 1, 9, 0.2, {
      stiffness: 'medium',
      startDeg: 10,
      stroke: { kind: 'beadTrail', lengthMm: 33, beads: 9, turnDeg: 50, taper: 0.75, swell: 1.3 },
    }),
    plain('Outer trail', 'bud', 'round-3', 1, 9, 0.2, {
      stiffness: 'medium',
      startDeg: -4,
      stroke: { kind: 'beadTrail', lengthMm: 36, beads: 9, turnDeg: 70, taper: 0.75, swell: 1.3 },
    }),
    plain('Middle trail', 'bud', 'round-3', 1, 7, 1.6, {
      stiffness: 'medium',
      startDeg: 3,
      stroke: { kind: 'beadTrail', lengthMm: 39, beads: 10, turnDeg: 52, taper: 0.75, swell: 1.35 },
    }),
  ],
})
