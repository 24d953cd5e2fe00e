import { onNail, plain, role } from './build.ts'

/** Scooped petals in six rows over a dome, more upright towards the middle. */
export const chrysanthemum = onNail(50, {
  id: 'chrysanthemum',
  name: 'Chrysanthemum',
  level: 'practised',
  roles: [role('petal', 'Petals', '#c9762b')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 10, tallMm: 10, shape: 'dome' },
    }),
    plain('Row of 17', 'petal', 'moon-5', 17, 8, 1.4, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 14, riseStartDeg: 0, riseEndDeg: 24, flow: 1 },
    }),
    plain('Row of 16', 'petal', 'moon-5', 16, 7.4, 3.6, {
      startDeg: 11.2,
      stroke: { kind: 'scoop', lengthMm: 13, riseStartDeg: 16, riseEndDeg: 46, flow: 1 },
    }),
    plain('Row of 14', 'petal', 'moon-5', 14, 6.2, 5.6, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 11.5, riseStartDeg: 30, riseEndDeg: 68, flow: 1 },
    }),
    plain('Row of 11', 'petal', 'moon-5', 11, 4.7, 7.4, {
      startDeg: 16.4,
      stroke: { kind: 'scoop', lengthMm: 10, riseStartDeg: 46, riseEndDeg: 88, flow: 1 },
    }),
    plain('Row of 8', 'petal', 'moon-5', 8, 3, 8.6, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 8.5, riseStartDeg: 60, riseEndDeg: 105, flow: 1 },
    }),
    plain('Row of 5', 'petal', 'moon-5', 5, 1.3, 9.2, {
      startDeg: 36.0,
      stroke: { kind: 'scoop', lengthMm: 7.5, riseStartDeg: 75, riseEndDeg: 112, flow: 1 },
    }),
  ],
})
