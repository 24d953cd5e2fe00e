import { inPlace, plain, role } from './build.ts'

/** Where the buds of an ear stand along its stem, from the lowest, and how long each is, mm. */
const WHORLS = [
  [13, 7],
  [20, 7],
  [23.5, 6.8],
  [27, 6.4],
  [30.5, 6],
  [34, 5.4],
  [37, 4.8],
] as const
/** How far aside of the stem the outer buds of a whorl begin, mm. */
const ASIDE_MM = 1.5

/** A stem and an ear of pointed buds: one to each side and one on top, the lowest a little apart, a single one at the tip. */
export const lavender = inPlace({
  id: 'lavender',
  name: 'Lavender',
  level: 'first',
  roles: [role('bud', 'Buds', '#8c7fb5'), role('stem', 'Stem', '#74834d')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 40 },
    }),
    ...WHORLS.map(([ringMm, lengthMm], i) =>
      plain(`Whorl ${i + 1}`, 'bud', 'round-2', 3, ringMm, 0.2, {
        stiffness: 'medium',
        spreadDeg: (2 * Math.asin(ASIDE_MM / ringMm) * 180) / Math.PI,
        stroke: { kind: 'comma', lengthMm, turnDeg: 0, swell: 1.05 },
      }),
    ),
    plain('Tip', 'bud', 'round-2', 1, 40.6, 0.6, {
      stiffness: 'medium',
      stroke: { kind: 'comma', lengthMm: 5, turnDeg: 0, swell: 1 },
    }),
  ],
})
