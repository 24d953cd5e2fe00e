import { onNail, plain, role } from './build.ts'

/** A broad petal that cups. */
const cup = (tiltStartDeg: number, tiltEndDeg: number, outMm: number) =>
  ({
    kind: 'fan',
    spanDeg: 70,
    outMm,
    tiltStartDeg,
    tiltEndDeg,
    curlDeg: 30,
    point: 0.25,
    flow: 1.3,
  }) as const

/** Six broad cupped petals, three that stand around the heart, and a cone with short stamens. */
export const magnolia = onNail(60, {
  id: 'magnolia',
  name: 'Magnolia',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#f2e6e4'),
    role('cone', 'Cone', '#9aa05a'),
    role('stamen', 'Stamens', '#c98a8f'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4.4, topMm: 0, tallMm: 2, shape: 'dome' },
    }),
    plain('Outer petals', 'petal', 'petal-17', 6, 0.8, 0.9, { stroke: cup(8, 16, 5) }),
    plain('Inner petals', 'petal', 'petal-13', 3, 1, 3, { startDeg: 30, stroke: cup(48, 54, 2.4) }),
    plain('Cone', 'cone', 'round-3', 1, 0, 3, {
      stroke: { kind: 'mound', radiusMm: 1.8, topMm: 0.8, tallMm: 4.4, shape: 'cone' },
    }),
    plain('Stamens', 'stamen', 'cut-1', 12, 2.2, 3.4, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 2.6, leanDeg: 24 },
    }),
  ],
})
