import { onNail, plain, role } from './build.ts'

/** Even rounded petals in strict rings, each over the gap of the ring below. */
export const camellia = onNail(50, {
  id: 'camellia',
  name: 'Camellia',
  level: 'skilled',
  roles: [role('petal', 'Petals', '#d8a1a8')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 8, topMm: 0, tallMm: 4, shape: 'dome' },
    }),
    plain('Ring of 8', 'petal', 'petal-13', 8, 5.2, 0.6, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 58,
        outMm: 3,
        tiltStartDeg: 0,
        tiltEndDeg: 7,
        curlDeg: 20,
        lipDeg: -10,
        flow: 1.4,
      },
    }),
    plain('Ring of 7', 'petal', 'petal-13', 7, 3.6, 2, {
      startDeg: 22,
      stroke: {
        kind: 'fan',
        spanDeg: 60,
        outMm: 2.8,
        tiltStartDeg: 12,
        tiltEndDeg: 19,
        curlDeg: 20,
        lipDeg: -10,
        flow: 1.4,
      },
    }),
    plain('Ring of 6', 'petal', 'petal-10', 6, 2.4, 3.4, {
      startDeg: 8,
      stroke: {
        kind: 'fan',
        spanDeg: 66,
        outMm: 2.4,
        tiltStartDeg: 26,
        tiltEndDeg: 33,
        curlDeg: 20,
        lipDeg: -10,
        flow: 1.4,
      },
    }),
    plain('Ring of 5', 'petal', 'petal-8', 5, 1.4, 4.6, {
      startDeg: 30,
      stroke: {
        kind: 'fan',
        spanDeg: 74,
        outMm: 1.8,
        tiltStartDeg: 44,
        tiltEndDeg: 51,
        curlDeg: 20,
        lipDeg: -10,
        flow: 1.4,
      },
    }),
    plain('Ring of 3', 'petal', 'petal-8', 3, 0.6, 5.4, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 90,
        outMm: 1.2,
        tiltStartDeg: 62,
        tiltEndDeg: 69,
        curlDeg: 20,
        lipDeg: -10,
        flow: 1.4,
      },
    }),
  ],
})
