import { inPlace, plain, role } from './build.ts'

/** Leaves that bend away from the stem, and buds in its bows: where on it they begin, seen from its foot. */
const LEAVES = [
  { ringMm: 13.8, startDeg: 4, turnDeg: 70 },
  { ringMm: 27.7, startDeg: -3.6, turnDeg: -70 },
  { ringMm: 38.8, startDeg: 4.4, turnDeg: 60 },
] as const
const BUDS = [
  { ringMm: 9.5, startDeg: 29 },
  { ringMm: 23.5, startDeg: -12 },
  { ringMm: 46.8, startDeg: 0 },
] as const

/** A winding stem with small buds and leaves along it. */
export const vineWithBuds = inPlace({
  id: 'vine-buds',
  name: 'Vine with buds',
  form: 'vine',
  level: 'first',
  roles: [role('stem', 'Stem and leaves', '#74834d'), role('bud', 'Buds', '#b48cc0')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 46, waveMm: 3, waves: 1.5, taper: 0.3 },
    }),
    ...LEAVES.map(({ ringMm, startDeg, turnDeg }, i) =>
      plain(`Leaf ${i + 1}`, 'stem', 'round-3', 1, ringMm, 0.2, {
        stiffness: 'medium',
        startDeg,
        stroke: { kind: 'comma', lengthMm: 9, turnDeg, swell: 1.1 },
      }),
    ),
    ...BUDS.map(({ ringMm, startDeg }, i) =>
      plain(`Bud ${i + 1}`, 'bud', 'round-3', 1, ringMm, 0.2, {
        stiffness: 'medium',
        startDeg,
        stroke: { kind: 'dot', radiusMm: 1.9, tallMm: 2.8 },
      }),
    ),
  ],
})
