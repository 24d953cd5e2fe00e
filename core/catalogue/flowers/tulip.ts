import { onNail, plain, role } from './build.ts'

/** Six cupped petals standing close around a stamened heart. */
export const tulip = onNail(40, {
  id: 'tulip',
  name: 'Tulip',
  level: 'practised',
  roles: [role('petal', 'Petals', '#d9a441'), role('stamen', 'Stamens', '#3f3a44')],
  layers: [
    plain('Foot', 'petal', 'round-6', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 3, shape: 'dome' },
    }),
    plain('Inner three', 'petal', 'curve-15', 3, 3.8, 2.4, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 125,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -20,
        tiltMidDeg: -8,
        lipDeg: 0,
        curlDeg: 8,
        flow: 1.35,
      },
    }),
    plain('Outer three', 'petal', 'curve-15', 3, 4.8, 1.4, {
      startDeg: 60,
      stroke: {
        kind: 'petalArc',
        spanDeg: 130,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -16,
        tiltMidDeg: 0,
        lipDeg: 4,
        curlDeg: 6,
        flow: 1.35,
      },
    }),
    plain('Stamens', 'stamen', 'round-1', 6, 1.4, 2.6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 7, leanDeg: 6 },
    }),
  ],
})
