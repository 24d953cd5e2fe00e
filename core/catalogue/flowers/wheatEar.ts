import { inPlace, plain, role } from './build.ts'

/** Where the grains of an ear begin along its stalk, from the lowest, mm. */
const GRAINS = [22, 25.6, 29.2, 32.8, 36.4, 40] as const
/** How far aside of the stalk they begin, mm. */
const ASIDE_MM = 1.3

/** A stalk and an ear: grains to both sides and one on top, drawn out towards the tip, and fine awns beyond. */
export const wheatEar = inPlace({
  id: 'wheat-ear',
  name: 'Ear of wheat',
  form: 'vine',
  level: 'first',
  roles: [role('grain', 'Grains', '#c79c4e'), role('stalk', 'Stalk', '#b59355')],
  layers: [
    plain('Stalk', 'stalk', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 42 },
    }),
    plain('Awns', 'stalk', 'cut-1', 5, 40, 0.3, {
      stiffness: 'medium',
      spreadDeg: 12,
      stroke: { kind: 'vine', lengthMm: 12, taper: 0.6 },
    }),
    ...GRAINS.map((ringMm, i) =>
      plain(`Grains ${i + 1}`, 'grain', 'round-2', 3, ringMm, 0.2, {
        stiffness: 'medium',
        spreadDeg: (2 * Math.asin(ASIDE_MM / ringMm) * 180) / Math.PI,
        stroke: { kind: 'comma', lengthMm: 6.4, turnDeg: 0, swell: 1.15 },
      }),
    ),
    plain('Last grain', 'grain', 'round-2', 1, 43, 0.6, {
      stiffness: 'medium',
      stroke: { kind: 'comma', lengthMm: 6, turnDeg: 0, swell: 1.05 },
    }),
  ],
})
