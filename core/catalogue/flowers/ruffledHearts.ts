import { onNail, plain, role, striped } from './build.ts'

/** Half of a long heart with a frilled rim. */
const half = {
  kind: 'fan',
  spanDeg: 44,
  outMm: 7,
  tiltStartDeg: 4,
  tiltEndDeg: 12,
  curlDeg: 10,
  lipDeg: -12,
  sideMm: 0.5,
  flow: 1.2,
  ripple: { lengthMm: 7, ampMm: 0.7, power: 2.2 },
} as const

/** Five long hearts in two tones, each of two frilled halves. */
export const ruffledHearts = onNail(60, {
  id: 'ruffled-hearts',
  name: 'Bloom of ruffled hearts',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#d98aa0'),
    role('throat', 'Throat', '#8f3f5c'),
    role('stamen', 'Stamens', '#e8c66a'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 1.4, shape: 'dome' },
    }),
    striped('Left halves', ['throat', 'petal', 0.3], 'petal-13', 5, 0.4, 0.8, { startDeg: 82, stroke: half }),
    striped('Right halves', ['throat', 'petal', 0.3], 'petal-13', 5, 0.4, 1.2, {
      startDeg: 98,
      stroke: half,
    }),
    plain('Stamens', 'stamen', 'cut-1', 9, 1.4, 2.2, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 4, leanDeg: 26 },
    }),
  ],
})
