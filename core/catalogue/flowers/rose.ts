import { onNail, plain, role } from './build.ts'

/** Cone, a closed heart, then rows of 3, 5, 7 and 8 petals that open outwards. */
export const rose = onNail(40, {
  id: 'rose',
  name: 'Classic rose',
  level: 'practised',
  roles: [role('heart', 'Heart', '#c98a93'), role('petal', 'Petals', '#e3a9ae')],
  layers: [
    plain('Cone', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9.5, topMm: 3, tallMm: 17, shape: 'cone' },
    }),
    plain('Wrap', 'heart', 'petal-13', 1, 2.9, 9.4, {
      stroke: {
        kind: 'wrap',
        turns: 1.7,
        endRingMm: 4.2,
        tiltStartDeg: -12,
        tiltEndDeg: -7,
        lipDeg: 18,
        flow: 1.2,
      },
    }),
    plain('Row of 3', 'petal', 'petal-13', 3, 4.1, 7.6, {
      stroke: {
        kind: 'petalArc',
        spanDeg: 165,
        archMm: 3.2,
        dropMm: 2,
        tiltEndDeg: -15,
        tiltMidDeg: -2,
        lipDeg: 52,
        curlDeg: -2,
        flow: 1.3,
      },
    }),
    plain('Row of 5', 'petal', 'petal-13', 5, 5.4, 5.9, {
      startDeg: 40,
      stroke: {
        kind: 'petalArc',
        spanDeg: 124,
        archMm: 3.6,
        dropMm: 2.8,
        tiltEndDeg: -13,
        tiltMidDeg: 10,
        lipDeg: 70,
        curlDeg: -5,
        flow: 1.35,
      },
    }),
    plain('Row of 7', 'petal', 'petal-13', 7, 6.9, 3.6, {
      startDeg: 15,
      stroke: {
        kind: 'petalArc',
        spanDeg: 98,
        archMm: 3.8,
        dropMm: 3,
        tiltEndDeg: -4,
        tiltMidDeg: 28,
        lipDeg: 74,
        curlDeg: -8,
        flow: 1.4,
      },
    }),
    plain('Row of 8', 'petal', 'petal-13', 8, 8.6, 1, {
      startDeg: 8,
      stroke: {
        kind: 'petalArc',
        spanDeg: 88,
        archMm: 3.2,
        dropMm: 2.6,
        tiltEndDeg: 8,
        tiltMidDeg: 46,
        lipDeg: 66,
        curlDeg: -8,
        flow: 1.4,
      },
    }),
  ],
})
