import { onNail, plain, role } from './build.ts'

/** A dome wrapped in eight close rows of cupped petals, greenish inside and pale outside. */
export const ranunculus = onNail(50, {
  id: 'ranunculus',
  name: 'Ranunculus',
  level: 'skilled',
  roles: [
    role('heart', 'Heart', '#c9c77c'),
    role('inner', 'Inner petals', '#e0cfa0'),
    role('outer', 'Outer petals', '#dcbfae'),
  ],
  layers: [
    plain('Dome', 'heart', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 13, tallMm: 10, shape: 'dome' },
    }),
    plain('Wrap', 'heart', 'curve-11', 1, 2.6, 6, {
      stroke: { kind: 'wrap', turns: 1.2, endRingMm: 3, fallMm: 1, tiltStartDeg: -6, tiltEndDeg: -4 },
    }),
    plain('Row 1', 'inner', 'curve-11', 3, 3.4, 6.0, {
      startDeg: 0,
      stroke: {
        kind: 'petalArc',
        spanDeg: 170,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: -9,
        tiltMidDeg: -2.0,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 2', 'inner', 'curve-11', 4, 4.75, 5.05, {
      startDeg: 61,
      stroke: {
        kind: 'petalArc',
        spanDeg: 138,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: -4,
        tiltMidDeg: 4.8,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 3', 'inner', 'curve-11', 5, 6.1, 4.1, {
      startDeg: 122,
      stroke: {
        kind: 'petalArc',
        spanDeg: 118,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 1,
        tiltMidDeg: 11.6,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 4', 'inner', 'curve-11', 5, 7.45, 3.15, {
      startDeg: 183,
      stroke: {
        kind: 'petalArc',
        spanDeg: 114,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 6,
        tiltMidDeg: 18.4,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 5', 'outer', 'curve-11', 6, 8.8, 2.2, {
      startDeg: 244,
      stroke: {
        kind: 'petalArc',
        spanDeg: 100,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 11,
        tiltMidDeg: 25.2,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 6', 'outer', 'curve-11', 7, 10.15, 1.25, {
      startDeg: 305,
      stroke: {
        kind: 'petalArc',
        spanDeg: 90,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 16,
        tiltMidDeg: 32.0,
        lipDeg: 4,
        flow: 1,
      },
    }),
    plain('Row 7', 'outer', 'curve-11', 7, 11.5, -0.4, {
      startDeg: 6,
      stroke: {
        kind: 'petalArc',
        spanDeg: 90,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 21,
        tiltMidDeg: 38.8,
        lipDeg: 14,
        flow: 1,
      },
    }),
    plain('Row 8', 'outer', 'curve-11', 8, 12.85, -2.05, {
      startDeg: 67,
      stroke: {
        kind: 'petalArc',
        spanDeg: 82,
        archMm: 2.2,
        dropMm: 1.5,
        tiltEndDeg: 26,
        tiltMidDeg: 45.6,
        lipDeg: 14,
        flow: 1,
      },
    }),
  ],
})
