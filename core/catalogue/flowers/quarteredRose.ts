import { floret, onNail, plain, role } from './build.ts'

/** Folds of one quarter, nested one in the other, open towards the heart: their ring about the quarter, sweep and foot. */
const FOLDS = [
  { name: 'Inner fold', ringMm: 0.6, spanDeg: 250, heightMm: 0.6 },
  { name: 'Middle fold', ringMm: 2.1, spanDeg: 215, heightMm: 0.3 },
  { name: 'Outer fold', ringMm: 3.6, spanDeg: 180, heightMm: 0 },
] as const

/** An old garden rose: four tight folds in the heart, ringed by rows of cupped petals. */
export const quarteredRose = onNail(50, {
  id: 'quartered-rose',
  name: 'Quartered old rose',
  level: 'skilled',
  roles: [role('heart', 'Heart', '#c9848f'), role('petal', 'Petals', '#e6b9b4')],
  florets: [
    floret('Quarter', 4, { kind: 'ring' }, { ringMm: 3.7, heightMm: 4.4, startDeg: 45, looseDeg: 10 }),
  ],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 11, topMm: 0, tallMm: 5.6, shape: 'dome' },
    }),
    ...FOLDS.map(({ name, ringMm, spanDeg, heightMm }) =>
      plain(name, 'heart', 'petal-8', 1, ringMm, heightMm, {
        floretId: 'quarter',
        stroke: {
          kind: 'petalArc',
          spanDeg,
          archMm: 1.2,
          dropMm: 0.8,
          tiltEndDeg: -4,
          tiltMidDeg: 4,
          lipDeg: 16,
          flow: 1,
        },
      }),
    ),
    plain('Cup of 5', 'petal', 'petal-13', 5, 8.8, 2.6, {
      startDeg: 20,
      stroke: {
        kind: 'petalArc',
        spanDeg: 104,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -16,
        tiltMidDeg: -4,
        lipDeg: 20,
        curlDeg: -4,
        flow: 1.3,
      },
    }),
    plain('Row of 6', 'petal', 'petal-13', 6, 10.2, 1.6, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 100,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -8,
        tiltMidDeg: 10,
        lipDeg: 46,
        curlDeg: -6,
        flow: 1.35,
      },
    }),
    plain('Row of 8', 'petal', 'petal-13', 8, 11.8, 0.6, {
      startDeg: 12,
      stroke: {
        kind: 'petalArc',
        spanDeg: 86,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 4,
        tiltMidDeg: 38,
        lipDeg: 60,
        curlDeg: -8,
        flow: 1.4,
      },
    }),
  ],
})
