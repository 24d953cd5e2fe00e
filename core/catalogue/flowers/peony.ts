import { inPlace, plain, role, striped } from './build.ts'

/** A loose ruffled heart cupped by three rows of broad curved petals, the first of them darker at its foot. */
export const peony = inPlace({
  id: 'peony',
  name: 'Peony',
  level: 'skilled',
  roles: [role('heart', 'Heart', '#c9738c'), role('petal', 'Petals', '#e8c0c8')],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9, topMm: 0, tallMm: 7, shape: 'dome' },
    }),
    plain('Ruffled heart', 'heart', 'curve-11', 5, 3, 6, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 110,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -8,
        tiltMidDeg: 0,
        lipDeg: 12,
        curlDeg: 2,
        flow: 1.5,
        ripple: { lengthMm: 6, ampMm: 1.1, power: 1.6 },
      },
    }),
    plain('Inner cup', 'heart', 'curve-11', 5, 5.4, 4.6, {
      startDeg: 30,
      stroke: {
        kind: 'petalArc',
        spanDeg: 112,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -8,
        tiltMidDeg: 8,
        lipDeg: 16,
        curlDeg: 0,
        flow: 1.4,
        ripple: { lengthMm: 9, ampMm: 0.7, power: 2.2 },
      },
    }),
    striped('Cup of 5', ['heart', 'petal', 0.4], 'curve-15', 5, 7.2, 2.4, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 108,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 12,
        tiltMidDeg: 46,
        lipDeg: 18,
        curlDeg: 0,
        flow: 1.35,
      },
    }),
    plain('Row of 6', 'petal', 'curve-15', 6, 8.4, 1, {
      startDeg: 30,
      stroke: {
        kind: 'petalArc',
        spanDeg: 98,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 34,
        tiltMidDeg: 74,
        lipDeg: 22,
        curlDeg: 0,
        flow: 1.35,
      },
    }),
    plain('Row of 7', 'petal', 'curve-15', 7, 11.2, 0.4, {
      startDeg: 12,
      stroke: {
        kind: 'petalArc',
        spanDeg: 88,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 60,
        tiltMidDeg: 100,
        lipDeg: 26,
        curlDeg: 0,
        flow: 1.4,
      },
    }),
  ],
})
