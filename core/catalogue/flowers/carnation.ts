import { inPlace, plain, role } from './build.ts'

/** Tightly ruffled petals stood close together on a dome. */
export const carnation = inPlace({
  id: 'carnation',
  name: 'Carnation ruffle',
  level: 'practised',
  roles: [role('petal', 'Petals', '#d1798a')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 8, topMm: 0, tallMm: 7, shape: 'dome' },
    }),
    plain('Heart', 'petal', 'petal-10', 4, 1.4, 5.6, {
      startDeg: 0,
      stroke: {
        kind: 'ruffle',
        spanDeg: 150,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: -4,
        tiltMidDeg: 2,
        lipDeg: 10,
        curlDeg: 4,
        flow: 1.42,
        ripple: { lengthMm: 4.4, ampMm: 1, power: 1.5 },
      },
    }),
    plain('Ruffle of 6', 'petal', 'petal-10', 6, 3.4, 4.6, {
      startDeg: 20,
      stroke: {
        kind: 'ruffle',
        spanDeg: 90,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 4,
        tiltMidDeg: 14,
        lipDeg: 12,
        curlDeg: 6,
        flow: 1.42,
        ripple: { lengthMm: 4.8, ampMm: 1.1, power: 1.5 },
      },
    }),
    plain('Ruffle of 8', 'petal', 'petal-10', 8, 5.4, 3, {
      startDeg: 0,
      stroke: {
        kind: 'ruffle',
        spanDeg: 70,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 16,
        tiltMidDeg: 30,
        lipDeg: 14,
        curlDeg: 6,
        flow: 1.42,
        ripple: { lengthMm: 5.1, ampMm: 1.2, power: 1.5 },
      },
    }),
    plain('Ruffle of 9', 'petal', 'petal-10', 9, 7.2, 1, {
      startDeg: 12,
      stroke: {
        kind: 'ruffle',
        spanDeg: 62,
        archMm: 3,
        dropMm: 2.2,
        tiltEndDeg: 30,
        tiltMidDeg: 52,
        lipDeg: 16,
        curlDeg: 6,
        flow: 1.42,
        ripple: { lengthMm: 5.5, ampMm: 1.3, power: 1.5 },
      },
    }),
  ],
})
