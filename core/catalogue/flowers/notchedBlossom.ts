import { onNail, plain, role } from './build.ts'

/** Half of a notched petal. */
const half = {
  kind: 'fan',
  spanDeg: 54,
  outMm: 2.6,
  tiltStartDeg: 6,
  tiltEndDeg: 14,
  curlDeg: 14,
  lipDeg: -8,
  sideMm: 0.5,
  flow: 1.2,
} as const

/** A disc turned on the nail, and on it five petals of two halves each that meet in a notch. */
export const notchedBlossom = onNail(30, {
  id: 'notched-blossom',
  name: 'Notched blossom on a disc',
  level: 'practised',
  roles: [role('petal', 'Petals', '#e9c9d3'), role('eye', 'Eye', '#d9a520')],
  layers: [
    plain('Disc', 'petal', 'petal-8', 1, 0, 0.4, {
      stroke: { kind: 'disc', turns: 1.15, liftDeg: 2 },
    }),
    plain('Left halves', 'petal', 'petal-8', 5, 1, 1.4, { startDeg: 80, stroke: half }),
    plain('Right halves', 'petal', 'petal-8', 5, 1, 1.7, { startDeg: 100, stroke: half }),
    plain('Eye', 'eye', 'round-2', 3, 1, 3.2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.9, tallMm: 1.4 },
    }),
  ],
})
