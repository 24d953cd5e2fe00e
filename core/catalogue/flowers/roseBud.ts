import { onNail, plain, role } from './build.ts'

/** A closed bud: a thin cone, a wrap and two rows that hardly open, with sepals. */
export const roseBud = onNail(30, {
  id: 'rose-bud',
  name: 'Rose bud',
  level: 'first',
  roles: [role('petal', 'Petals', '#d98f96'), role('sepal', 'Sepals', '#6f8a4a')],
  layers: [
    plain('Cone', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 2, tallMm: 11, shape: 'cone' },
    }),
    plain('Wrap', 'petal', 'petal-10', 1, 2.4, 5, {
      stroke: {
        kind: 'wrap',
        turns: 1.6,
        endRingMm: 3.2,
        tiltStartDeg: -10,
        tiltEndDeg: -6,
        lipDeg: 14,
        flow: 1.2,
      },
    }),
    plain('Row of 3', 'petal', 'petal-10', 3, 3.2, 2.2, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 150,
        archMm: 1.6,
        dropMm: 1.2,
        tiltEndDeg: -10,
        tiltMidDeg: 2,
        lipDeg: 30,
        curlDeg: -2,
        flow: 1,
      },
    }),
    plain('Outer row of 3', 'petal', 'petal-10', 3, 4.2, 1.8, {
      startDeg: 60,
      stroke: {
        kind: 'petalArc',
        spanDeg: 140,
        archMm: 1.6,
        dropMm: 1.2,
        tiltEndDeg: -6,
        tiltMidDeg: 10,
        overlapMm: 1,
        endScale: 0.45,
        lipDeg: 42,
        curlDeg: -4,
        flow: 1,
      },
    }),
    plain('Sepals', 'sepal', 'round-1-5', 5, 4.8, 0.4, {
      stiffness: 'medium',
      stroke: { kind: 'curvedSpike', lengthMm: 9, leanDeg: 40, curlDeg: 45 },
    }),
  ],
})
