import { onNail, plain, role } from './build.ts'

/** Six cupped petals standing close around a stamened heart. */
export const tulip = onNail(40, {
  id: 'tulip',
  name: 'Tulip',
  level: 'practised',
  roles: [role('petal', 'Petals', '#d9a441'), role('stamen', 'Stamens', '#3f3a44')],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 7.5, topMm: 0, tallMm: 3, shape: 'dome' },
    }),
    plain('Inner three', 'petal', 'petal-17', 3, 5.2, 2, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 148,
        archMm: 1.2,
        dropMm: 0.6,
        tiltEndDeg: -4,
        tiltMidDeg: 0,
        lipDeg: -14,
        curlDeg: -6,
        flow: 0.9,
      },
    }),
    plain('Outer three', 'petal', 'petal-17', 3, 6.4, 1, {
      startDeg: 60,
      stroke: {
        kind: 'petalArc',
        spanDeg: 128,
        archMm: 1.2,
        dropMm: 0.6,
        tiltEndDeg: 0,
        tiltMidDeg: 8,
        overlapMm: 1,
        endScale: 0.45,
        lipDeg: -18,
        curlDeg: -8,
        flow: 0.9,
      },
    }),
    plain('Stamens', 'stamen', 'cut-1', 6, 1.4, 2.6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 7, leanDeg: 6 },
    }),
  ],
})
