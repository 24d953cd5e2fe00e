import { onNail, plain, role } from './build.ts'

/** An old garden rose: four tight folds in the heart, ringed by rows of cupped petals. */
export const quarteredRose = onNail(50, {
  id: 'quartered-rose',
  name: 'Quartered old rose',
  level: 'skilled',
  roles: [role('heart', 'Heart', '#c9848f'), role('petal', 'Petals', '#e6b9b4')],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 10, topMm: 0, tallMm: 6, shape: 'dome' },
    }),
    plain('Folds', 'heart', 'petal-10', 4, 2.6, 5, {
      stroke: { kind: 'outAndBack', outMm: 4.5, sideMm: 3.2, tiltMidDeg: 4, lipDeg: 16, flow: 1.3 },
    }),
    plain('Inner folds', 'heart', 'petal-8', 4, 1.4, 5.4, {
      startDeg: 45,
      stroke: { kind: 'outAndBack', outMm: 3, sideMm: 2.2, tiltMidDeg: 2, lipDeg: 12, flow: 1.3 },
    }),
    plain('Cup of 5', 'petal', 'petal-13', 5, 7.6, 3, {
      startDeg: 20,
      stroke: {
        kind: 'petalArc',
        spanDeg: 112,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -16,
        tiltMidDeg: -4,
        lipDeg: 20,
        curlDeg: -4,
        flow: 1.3,
      },
    }),
    plain('Row of 6', 'petal', 'petal-13', 6, 8.8, 2, {
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
    plain('Row of 8', 'petal', 'petal-13', 8, 10.2, 0.8, {
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
