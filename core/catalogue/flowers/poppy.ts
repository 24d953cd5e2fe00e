import { onNail, plain, role } from './build.ts'

/** Four broad petals piped as an edge and drawn in with a damp brush, around a ribbed head. */
export const poppy = onNail(50, {
  id: 'poppy',
  name: 'Poppy',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#b5453a'),
    role('head', 'Head', '#8d9a66'),
    role('stamen', 'Stamens', '#3a3540'),
  ],
  layers: [
    plain('Outer petals', 'petal', 'petal-17', 2, 0.4, 0.6, {
      stroke: {
        kind: 'brushDrag',
        spanDeg: 150,
        rimMm: 19,
        drawMm: 18,
        tiltMidDeg: 12,
        flow: 1.6,
        ripple: { lengthMm: 9, ampMm: 0.9, power: 1.4 },
      },
    }),
    plain('Inner petals', 'petal', 'petal-17', 2, 0.4, 1.6, {
      startDeg: 90,
      stroke: {
        kind: 'brushDrag',
        spanDeg: 140,
        rimMm: 15,
        drawMm: 14.5,
        tiltMidDeg: 26,
        flow: 1.5,
        ripple: { lengthMm: 8, ampMm: 0.9, power: 1.4 },
      },
    }),
    plain('Head', 'head', 'round-5', 1, 0, 1.2, { stroke: { kind: 'drop', radiusMm: 3, tallMm: 5 } }),
    plain('Stamens', 'stamen', 'cut-1', 20, 4.6, 2.2, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 1 },
    }),
    plain('Outer stamens', 'stamen', 'cut-1', 20, 6, 2.6, {
      stiffness: 'soft',
      startDeg: 9,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 1 },
    }),
  ],
})
