import { inPlace, plain, role } from './build.ts'

/** A rose on its piece: a lower cone, fewer and wider petals, the outer ones lying open. */
export const roseInPlace = inPlace({
  id: 'rose-in-place',
  name: 'Rose piped in place',
  level: 'practised',
  roles: [role('heart', 'Heart', '#c98a93'), role('petal', 'Petals', '#e3a9ae')],
  layers: [
    plain('Cone', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 8, topMm: 3, tallMm: 12, shape: 'cone' },
    }),
    plain('Wrap', 'heart', 'petal-13', 1, 2.9, 6, {
      stroke: {
        kind: 'wrap',
        turns: 1.5,
        endRingMm: 4,
        tiltStartDeg: -12,
        tiltEndDeg: -7,
        lipDeg: 18,
        flow: 1.2,
      },
    }),
    plain('Row of 3', 'petal', 'petal-13', 3, 4, 5, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 160,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -14,
        tiltMidDeg: 0,
        lipDeg: 50,
        curlDeg: -2,
        flow: 1.3,
      },
    }),
    plain('Row of 5', 'petal', 'petal-13', 5, 5.4, 3.4, {
      startDeg: 30,
      stroke: {
        kind: 'petalArc',
        spanDeg: 118,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -10,
        tiltMidDeg: 18,
        lipDeg: 66,
        curlDeg: -5,
        flow: 1.35,
      },
    }),
    plain('Row of 6', 'petal', 'petal-13', 6, 7.2, 1, {
      startDeg: 10,
      stroke: {
        kind: 'petalArc',
        spanDeg: 108,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 2,
        tiltMidDeg: 46,
        lipDeg: 64,
        curlDeg: -8,
        flow: 1.4,
      },
    }),
  ],
})
