import { inPlace, plain, role } from './build.ts'

/** Rows of florets from the base to the tip: how far up the stem, how many, how wide the row is and how high it lies, mm. */
const ROWS = [
  { ringMm: 14, count: 5, wideMm: 17, heightMm: 0.2 },
  { ringMm: 17.7, count: 5, wideMm: 15.5, heightMm: 0.2 },
  { ringMm: 21.4, count: 4, wideMm: 12.5, heightMm: 0.2 },
  { ringMm: 25, count: 3, wideMm: 8.6, heightMm: 0.2 },
  { ringMm: 28.6, count: 2, wideMm: 4.4, heightMm: 0.2 },
  { ringMm: 16, count: 4, wideMm: 11.5, heightMm: 3 },
  { ringMm: 19.6, count: 3, wideMm: 8.4, heightMm: 3 },
  { ringMm: 23.2, count: 2, wideMm: 4.4, heightMm: 3 },
] as const

/** A cone of small drop stars, two deep, on a stem with two leaves. */
export const lilac = inPlace({
  id: 'lilac',
  name: 'Lilac',
  level: 'first',
  roles: [
    role('floret', 'Florets', '#a793c4'),
    role('stem', 'Stem', '#74834d'),
    role('leaf', 'Leaves', '#6f8a4a'),
  ],
  layers: [
    plain('Stem', 'stem', 'round-2', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 14 },
    }),
    plain('Leaves', 'leaf', 'leaf-10', 2, 1, 0.4, {
      stiffness: 'medium',
      spreadDeg: 150,
      stroke: { kind: 'leafPull', lengthMm: 19, liftDeg: 8, flow: 1.2 },
    }),
    ...ROWS.map(({ ringMm, count, wideMm, heightMm }, i) =>
      plain(`Row ${i + 1}`, 'floret', 'star-6-5', count, ringMm, heightMm, {
        stiffness: 'medium',
        spreadDeg: (2 * Math.asin(wideMm / 2 / ringMm) * 180) / Math.PI,
        stroke: { kind: 'dropStar', tallMm: 2.8, swell: 1.05, spinDeg: 30 },
      }),
    ),
    plain('Tip', 'floret', 'star-6-5', 1, 32, 0.2, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 2.6, swell: 1, spinDeg: 30 },
    }),
  ],
})
