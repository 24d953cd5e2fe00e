import { onNail, plain, role } from './build.ts'

/** A petal drawn to a point. */
const pointed = (tiltStartDeg: number, tiltEndDeg: number, outMm: number) =>
  ({
    kind: 'fan',
    spanDeg: 46,
    outMm,
    tiltStartDeg,
    tiltEndDeg,
    point: 0.7,
    sideMm: 2,
    curlDeg: 12,
    flow: 1.3,
  }) as const

/** Three rows of pointed petals that rise to a sheaf of golden stamens. */
export const waterLily = onNail(60, {
  id: 'water-lily',
  name: 'Water lily',
  level: 'practised',
  roles: [role('petal', 'Petals', '#eed3dc'), role('stamen', 'Stamens', '#d9a520')],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 5, topMm: 0, tallMm: 2.4, shape: 'dome' },
    }),
    plain('Outer petals', 'petal', 'petal-13', 8, 1.2, 0.8, { stroke: pointed(6, 12, 7) }),
    plain('Middle petals', 'petal', 'petal-13', 8, 1, 2.4, { startDeg: 22, stroke: pointed(26, 32, 4.4) }),
    plain('Inner petals', 'petal', 'petal-10', 6, 1, 3.8, { startDeg: 8, stroke: pointed(46, 52, 3) }),
    plain('Stamens', 'stamen', 'round-1-5', 9, 1.6, 4, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 5, leanDeg: 14 },
    }),
    plain('Inner stamens', 'stamen', 'round-1-5', 4, 0.6, 4.2, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 4.4, leanDeg: 4 },
    }),
  ],
})
