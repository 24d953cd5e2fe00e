import { onNail, plain, role } from './build.ts'

/** Broad scooped petals in five even rows, each over the gap of the row below. */
export const dahlia = onNail(50, {
  id: 'dahlia',
  name: 'Dahlia',
  level: 'practised',
  roles: [role('petal', 'Petals', '#a8763a'), role('heart', 'Heart', '#8a5a2c')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9.5, tallMm: 7.5, shape: 'dome' },
    }),
    plain('Row of 15', 'petal', 'moon-5', 15, 8.6, 1, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 13, riseStartDeg: -2, riseEndDeg: 14, flow: 1.1 },
    }),
    plain('Row of 14', 'petal', 'moon-5', 14, 7.6, 2.8, {
      startDeg: 12.9,
      stroke: { kind: 'scoop', lengthMm: 11.5, riseStartDeg: 10, riseEndDeg: 28, flow: 1.1 },
    }),
    plain('Row of 12', 'petal', 'moon-5', 12, 6.2, 4.8, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 10, riseStartDeg: 22, riseEndDeg: 48, flow: 1.1 },
    }),
    plain('Row of 10', 'petal', 'moon-5', 10, 4.6, 6.4, {
      startDeg: 18.0,
      stroke: { kind: 'scoop', lengthMm: 8.5, riseStartDeg: 38, riseEndDeg: 70, flow: 1.1 },
    }),
    plain('Row of 8', 'petal', 'moon-5', 8, 2.8, 7.6, {
      startDeg: 0.0,
      stroke: { kind: 'scoop', lengthMm: 7, riseStartDeg: 54, riseEndDeg: 92, flow: 1.1 },
    }),
    plain('Heart', 'heart', 'moon-3-6', 7, 0.6, 8.2, {
      stroke: { kind: 'scoop', lengthMm: 5, riseStartDeg: 80, riseEndDeg: 108 },
    }),
  ],
})
