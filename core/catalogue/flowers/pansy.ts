import { onNail, plain, role, striped, toolStep } from './build.ts'

/** Two back petals, two at the sides and a broad ruffled one below, each darker at the throat, around a bright eye. */
export const pansy = onNail(40, {
  id: 'pansy',
  name: 'Pansy',
  level: 'practised',
  roles: [
    role('back', 'Back petals', '#6a5596'),
    role('front', 'Front petals', '#e0c46a'),
    role('face', 'Face', '#3f2f52'),
    role('eye', 'Eye', '#e8a93a'),
  ],
  layers: [
    plain('Foot', 'back', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 3.4, topMm: 0, tallMm: 1.3, shape: 'dome' },
    }),
    plain('Back petals', 'back', 'petal-13', 2, 0.6, 0.6, {
      startDeg: 90,
      spreadDeg: 64,
      stroke: {
        kind: 'fan',
        spanDeg: 92,
        outMm: 4.6,
        tiltStartDeg: 3,
        tiltEndDeg: 10,
        curlDeg: 12,
        lipDeg: -10,
        flow: 1.2,
        ripple: { lengthMm: 12, ampMm: 0.5, power: 2.4 },
      },
    }),
    striped('Side petals', ['face', 'front', 0.4], 'petal-13', 2, 0.4, 1.7, {
      startDeg: 90,
      spreadDeg: 190,
      tools: [
        toolStep(
          { kind: 'paintLines', count: 5, widthMm: 0.45, from: 0.08, to: 0.62 },
          { name: 'Whiskers', paint: { name: 'Plum', hex: '#3a2348' } },
        ),
      ],
      stroke: {
        kind: 'fan',
        spanDeg: 88,
        outMm: 2.4,
        tiltStartDeg: 6,
        tiltEndDeg: 14,
        curlDeg: 14,
        lipDeg: -10,
        flow: 1.2,
        ripple: { lengthMm: 12, ampMm: 0.4, power: 2.4 },
      },
    }),
    striped('Lower petal', ['face', 'front', 0.45], 'petal-13', 1, 0.4, 2.4, {
      startDeg: 270,
      tools: [
        toolStep(
          { kind: 'paintLines', count: 7, widthMm: 0.45, from: 0.08, to: 0.62 },
          { name: 'Whiskers', paint: { name: 'Plum', hex: '#3a2348' } },
        ),
      ],
      stroke: {
        kind: 'fan',
        spanDeg: 128,
        outMm: 3,
        tiltStartDeg: 6,
        tiltEndDeg: 14,
        curlDeg: 12,
        lipDeg: -10,
        flow: 1.2,
        ripple: { lengthMm: 9, ampMm: 0.7, power: 2.2 },
      },
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 3, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1.3, tallMm: 1.6 },
    }),
  ],
})
