import { onNail, plain, role } from './build.ts'

/** Rows from the heart outwards: petals of each, their sweep, and how far their rim rolls. */
const ROWS = [
  { petals: 3, spanDeg: 170, lipDeg: 4 },
  { petals: 4, spanDeg: 138, lipDeg: 4 },
  { petals: 5, spanDeg: 118, lipDeg: 4 },
  { petals: 5, spanDeg: 114, lipDeg: 4 },
  { petals: 6, spanDeg: 100, lipDeg: 4 },
  { petals: 7, spanDeg: 90, lipDeg: 4 },
  { petals: 7, spanDeg: 90, lipDeg: 14 },
] as const
/** The first row's ring and height, mm, and by how much each next one is further out and lower: as thick as a petal comes. */
const FIRST = { ringMm: 4.4, heightMm: 6 }
const NEXT = { ringMm: 2.15, heightMm: -0.9 }
/** No petal stands over a join of the row inside it. */
const TURN_DEG = 61
/** Rows of the paler, outer tone begin here. */
const OUTER_FROM = 4

/** A dome wrapped in seven close rows of cupped petals, greenish inside and pale outside. */
export const ranunculus = onNail(50, {
  id: 'ranunculus',
  name: 'Ranunculus',
  level: 'skilled',
  roles: [
    role('heart', 'Heart', '#c9c77c'),
    role('inner', 'Inner petals', '#e0cfa0'),
    role('outer', 'Outer petals', '#dcbfae'),
  ],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 12, tallMm: 7.5, shape: 'dome' },
    }),
    plain('Wrap', 'heart', 'curve-11', 1, 2.6, 6, {
      stroke: { kind: 'wrap', turns: 1.2, endRingMm: 3, fallMm: 1, tiltStartDeg: -6, tiltEndDeg: -4 },
    }),
    ...ROWS.map(({ petals, spanDeg, lipDeg }, i) =>
      plain(
        `Row ${i + 1}`,
        i < OUTER_FROM ? 'inner' : 'outer',
        'curve-11',
        petals,
        FIRST.ringMm + i * NEXT.ringMm,
        FIRST.heightMm + i * NEXT.heightMm,
        {
          startDeg: (TURN_DEG * i) % 360,
          stroke: {
            kind: 'petalArc',
            spanDeg,
            archMm: 2.2,
            dropMm: 1.5,
            tiltEndDeg: -9 + 6 * i,
            tiltMidDeg: -2 + 8 * i,
            lipDeg,
            flow: 1.1,
          },
        },
      ),
    ),
  ],
})
