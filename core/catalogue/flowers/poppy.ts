import { onNail, plain, role, toolStep } from './build.ts'

/** Four broad petals piped as an edge and drawn in with a damp brush, two smaller ones inside, uneven stamens, the head last. */
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
    plain('Outer petals', 'petal', 'petal-17', 4, 0.4, 0.6, {
      startDeg: 45,
      tools: [
        toolStep(
          { kind: 'furrow', count: 11, deepMm: 0.35, widthMm: 0.9 },
          { name: 'Brush marks', instrument: 'dampBrush', secondsEach: 2 },
        ),
      ],
      stroke: {
        kind: 'brushDrag',
        spanDeg: 106,
        rimMm: 19,
        drawMm: 18,
        tiltMidDeg: 10,
        flow: 1.3,
        ripple: { lengthMm: 9, ampMm: 0.9, power: 1.4 },
      },
    }),
    plain('Inner petals', 'petal', 'petal-17', 2, 0.4, 2.4, {
      tools: [
        toolStep(
          { kind: 'furrow', count: 9, deepMm: 0.35, widthMm: 0.9 },
          { name: 'Brush marks', instrument: 'dampBrush', secondsEach: 2 },
        ),
      ],
      stroke: {
        kind: 'brushDrag',
        spanDeg: 124,
        rimMm: 13.5,
        drawMm: 13,
        tiltMidDeg: 24,
        flow: 1.3,
        ripple: { lengthMm: 8, ampMm: 0.8, power: 1.4 },
      },
    }),
    plain('Long stamens', 'stamen', 'cut-1', 13, 2.6, 2.4, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 4.6, leanDeg: 58, taper: 0.25 },
    }),
    plain('Short stamens', 'stamen', 'cut-1', 11, 2.4, 2.6, {
      stiffness: 'medium',
      startDeg: 12,
      stroke: { kind: 'spike', tallMm: 3, leanDeg: 40, taper: 0.25 },
    }),
    plain('Head', 'head', 'round-5', 1, 0, 2, { stroke: { kind: 'drop', radiusMm: 2.6, tallMm: 4.4 } }),
  ],
})
