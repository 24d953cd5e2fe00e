import { onNail, plain, role, toolStep } from './build.ts'

/** Six rounded petals, a dark ground flooded over their feet and pulled out onto them with a point, a ring of fine dots round the head. */
export const windflower = onNail(50, {
  id: 'windflower',
  name: 'Windflower with a flared heart',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#dfe3ee'),
    role('ground', 'Flared ground', '#4b4a78'),
    role('head', 'Head', '#2f3140'),
    role('stamen', 'Stamens', '#e3c55a'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 1.2, shape: 'dome' },
    }),
    plain('Petals', 'petal', 'petal-13', 6, 0.6, 0.5, {
      tools: [
        toolStep({ kind: 'notch', deepMm: 1.6, widthMm: 3.2 }),
        toolStep({ kind: 'furrow', count: 5, deepMm: 0.25, widthMm: 0.8 }, { name: 'Drawn veins' }),
      ],
      stroke: {
        kind: 'fan',
        spanDeg: 80,
        outMm: 4.4,
        tiltStartDeg: 2,
        tiltEndDeg: 8,
        curlDeg: 12,
        lipDeg: -8,
        flow: 1.2,
      },
    }),
    plain('Ground', 'ground', 'round-2', 1, 0, 2.6, {
      stiffness: 'flood',
      tools: [toolStep({ kind: 'flare', count: 18, lengthMm: 6.5, widthMm: 1.2 })],
      stroke: { kind: 'flood', radiusMm: 4.8, deepMm: 2.2 },
    }),
    plain('Head', 'head', 'round-3', 1, 0, 3.4, {
      tools: [toolStep({ kind: 'roughen', deepMm: 0.5, grainMm: 1.1 })],
      stroke: { kind: 'dot', radiusMm: 2.3, tallMm: 2.2 },
    }),
    plain('Stamens', 'stamen', 'cut-1', 16, 3.9, 3.6, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.5, tallMm: 0.7 },
    }),
  ],
})
