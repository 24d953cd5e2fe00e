import { onNail, plain, role } from './build.ts'

/** Six pointed petals and a fluted trumpet in a second colour. */
export const narcissus = onNail(50, {
  id: 'narcissus',
  name: 'Narcissus',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#f2dc80'),
    role('trumpet', 'Trumpet', '#e08a1e'),
    role('stamen', 'Stamens', '#d9a520'),
  ],
  layers: [
    plain('Petals', 'petal', 'petal-13', 6, 0.6, 0.8, {
      stroke: {
        kind: 'fan',
        spanDeg: 56,
        outMm: 6.5,
        tiltStartDeg: 4,
        tiltEndDeg: 11,
        curlDeg: 8,
        lipDeg: -12,
        sideMm: 0.3,
        point: 0.75,
        flow: 1.35,
      },
    }),
    plain('Trumpet', 'trumpet', 'petal-10', 1, 3.6, 1.2, {
      stroke: {
        kind: 'wall',
        turns: 1.08,
        tiltFootDeg: 4,
        tiltRimDeg: 20,
        lipDeg: 45,
        flow: 1.5,
        ripple: { lengthMm: 3.6, ampMm: 0.8, power: 3.2 },
      },
    }),
    plain('Stamens', 'stamen', 'round-1-5', 5, 1, 1, {
      stiffness: 'soft',
      stroke: { kind: 'spike', tallMm: 7 },
    }),
  ],
})
