import { inPlace, plain, role } from './build.ts'

/** One ribbon wound round and round, outwards and down. */
export const ribbonRose = inPlace({
  id: 'ribbon-rose',
  name: 'Ribbon rose',
  level: 'first',
  roles: [role('petal', 'Ribbon', '#dba0a4')],
  layers: [
    plain('Cone', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4.5, topMm: 2, tallMm: 8, shape: 'cone' },
    }),
    plain('Heart', 'petal', 'petal-10', 1, 2.2, 4.4, {
      stroke: {
        kind: 'wrap',
        turns: 1.8,
        endRingMm: 3.6,
        tiltStartDeg: -10,
        tiltEndDeg: -4,
        lipDeg: 16,
        flow: 1.25,
      },
    }),
    plain('Second winding', 'petal', 'petal-10', 1, 3.8, 2.6, {
      startDeg: 70,
      stroke: {
        kind: 'wrap',
        turns: 1.8,
        endRingMm: 5.6,
        tiltStartDeg: 2,
        tiltEndDeg: 14,
        lipDeg: 36,
        flow: 1.3,
      },
    }),
    plain('Third winding', 'petal', 'petal-10', 1, 5.8, 0.8, {
      startDeg: 200,
      stroke: {
        kind: 'wrap',
        turns: 1.6,
        endRingMm: 7.6,
        tiltStartDeg: 20,
        tiltEndDeg: 38,
        lipDeg: 44,
        flow: 1.35,
      },
    }),
  ],
})
