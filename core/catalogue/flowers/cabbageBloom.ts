import { inPlace, plain, role } from './build.ts'

/** Layer upon layer of broad cupped petals, greenish outside. */
export const cabbageBloom = inPlace({
  id: 'cabbage-bloom',
  name: 'Layered cabbage bloom',
  level: 'skilled',
  roles: [
    role('heart', 'Heart', '#e8dfb8'),
    role('petal', 'Petals', '#cbd0a0'),
    role('outer', 'Outer petals', '#93a27c'),
  ],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9, topMm: 0, tallMm: 7, shape: 'dome' },
    }),
    plain('Heart', 'heart', 'curve-15', 3, 3.4, 5.4, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 150,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -14,
        tiltMidDeg: -6,
        lipDeg: 10,
        curlDeg: 0,
        flow: 1.3,
      },
    }),
    plain('Row of 4', 'heart', 'curve-15', 4, 6, 4.4, {
      startDeg: 40,
      stroke: {
        kind: 'petalArc',
        spanDeg: 124,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -14,
        tiltMidDeg: -2,
        lipDeg: 14,
        curlDeg: 0,
        flow: 1.35,
        ripple: { lengthMm: 10, ampMm: 0.5, power: 2 },
      },
    }),
    plain('Row of 5', 'petal', 'curve-15', 5, 8, 3, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 110,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 8,
        tiltMidDeg: 40,
        lipDeg: 18,
        curlDeg: 0,
        flow: 1.4,
        ripple: { lengthMm: 10, ampMm: 0.7, power: 2 },
      },
    }),
    plain('Row of 6', 'petal', 'curve-15', 6, 9.8, 1.6, {
      startDeg: 25,
      stroke: {
        kind: 'petalArc',
        spanDeg: 98,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 26,
        tiltMidDeg: 66,
        lipDeg: 20,
        curlDeg: 0,
        flow: 1.4,
        ripple: { lengthMm: 10, ampMm: 0.8, power: 2 },
      },
    }),
    plain('Outer row', 'outer', 'curve-15', 7, 11.6, 0.4, {
      startDeg: 8,
      stroke: {
        kind: 'petalArc',
        spanDeg: 88,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 50,
        tiltMidDeg: 92,
        lipDeg: 22,
        curlDeg: 0,
        flow: 1.4,
        ripple: { lengthMm: 10, ampMm: 1, power: 2 },
      },
    }),
  ],
})
