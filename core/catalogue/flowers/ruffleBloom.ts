import { inPlace, plain, role } from './build.ts'

/** Ruffled petals in five rows over a dome, tight at the centre and longer towards the edge. */
export const ruffleBloom = inPlace({
  id: 'ruffle-bloom',
  name: 'Ruffle bloom',
  level: 'practised',
  roles: [role('petal', 'Petals', '#b48cc0')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 11, tallMm: 9, shape: 'dome' },
    }),
    plain('Ruffle 1', 'petal', 'petal-13', 3, 1.6, 6, {
      startDeg: 0,
      stroke: {
        kind: 'ruffle',
        spanDeg: 150,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: -5,
        tiltMidDeg: 0,
        curlDeg: 6,
        lipDeg: 16,
        flow: 1.6,
        ripple: { lengthMm: 8, ampMm: 1.8, power: 1.6 },
      },
    }),
    plain('Ruffle 2', 'petal', 'petal-13', 4, 3.7, 5.4, {
      startDeg: 23,
      stroke: {
        kind: 'ruffle',
        spanDeg: 115,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: 0,
        tiltMidDeg: 12,
        curlDeg: 6,
        lipDeg: 16,
        flow: 1.6,
        ripple: { lengthMm: 8, ampMm: 1.8, power: 1.6 },
      },
    }),
    plain('Ruffle 3', 'petal', 'petal-13', 6, 5.8, 4, {
      startDeg: 46,
      stroke: {
        kind: 'ruffle',
        spanDeg: 80,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: 10,
        tiltMidDeg: 26,
        curlDeg: 6,
        lipDeg: 16,
        flow: 1.6,
        ripple: { lengthMm: 8, ampMm: 1.8, power: 1.6 },
      },
    }),
    plain('Ruffle 4', 'petal', 'petal-13', 7, 7.9, 2.4, {
      startDeg: 69,
      stroke: {
        kind: 'ruffle',
        spanDeg: 70,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: 22,
        tiltMidDeg: 40,
        curlDeg: 6,
        lipDeg: 16,
        flow: 1.6,
        ripple: { lengthMm: 8, ampMm: 1.8, power: 1.6 },
      },
    }),
    plain('Ruffle 5', 'petal', 'petal-13', 8, 10.0, 0.8, {
      startDeg: 92,
      stroke: {
        kind: 'ruffle',
        spanDeg: 62,
        archMm: 1,
        dropMm: 0.5,
        tiltEndDeg: 36,
        tiltMidDeg: 54,
        curlDeg: 6,
        lipDeg: 16,
        flow: 1.6,
        ripple: { lengthMm: 8, ampMm: 1.8, power: 1.6 },
      },
    }),
  ],
})
