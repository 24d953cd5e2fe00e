import { onNail, plain, role, striped } from './build.ts'

/** Half of a heart: short, and close to the other one. */
const half = {
  kind: 'fan',
  spanDeg: 50,
  outMm: 3.6,
  tiltStartDeg: 4,
  tiltEndDeg: 11,
  curlDeg: 12,
  lipDeg: -10,
  sideMm: 0.5,
  flow: 1.2,
} as const

/** Five pale hearts, each of two halves, with a deep yellow throat and a green eye. */
export const primrose = onNail(40, {
  id: 'primrose',
  name: 'Primrose',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#f0e3a8'),
    role('throat', 'Throat', '#d9a93a'),
    role('eye', 'Eye', '#93a356'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 3, topMm: 0, tallMm: 1.2, shape: 'dome' },
    }),
    striped('Left halves', ['throat', 'petal', 0.34], 'petal-10', 5, 0.3, 0.8, {
      startDeg: 81,
      stroke: half,
    }),
    striped('Right halves', ['throat', 'petal', 0.34], 'petal-10', 5, 0.3, 1.1, {
      startDeg: 99,
      stroke: half,
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 1.8, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1.2, tallMm: 1.6 },
    }),
  ],
})
