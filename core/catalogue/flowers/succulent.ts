import { onNail, plain, role, striped } from './build.ts'

/** A leaf that is pushed out so far and drawn to a point. */
const row = (tiltStartDeg: number, tiltEndDeg: number, outMm: number) =>
  ({
    kind: 'fan',
    spanDeg: 40,
    outMm,
    tiltStartDeg,
    tiltEndDeg,
    point: 0.85,
    curlDeg: 30,
    flow: 1.7,
  }) as const

/** Thick pointed leaves in rows that rise towards the heart, blushed at their tips. */
export const succulent = onNail(50, {
  id: 'succulent',
  name: 'Succulent rosette',
  form: 'leaf',
  level: 'practised',
  roles: [role('leaf', 'Leaves', '#8aa386'), role('tip', 'Blushed tips', '#c07f86')],
  layers: [
    plain('Foot', 'leaf', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4.5, topMm: 0, tallMm: 3, shape: 'dome' },
    }),
    striped('Outer leaves', ['leaf', 'tip', 0.82], 'petal-13', 9, 1, 0.6, { stroke: row(6, 12, 5) }),
    striped('Second row', ['leaf', 'tip', 0.82], 'petal-13', 8, 0.8, 2.2, {
      startDeg: 20,
      stroke: row(24, 30, 3),
    }),
    striped('Third row', ['leaf', 'tip', 0.82], 'petal-10', 6, 0.6, 3.6, {
      startDeg: 8,
      stroke: row(40, 46, 2),
    }),
    striped('Heart', ['leaf', 'tip', 0.82], 'petal-10', 4, 0.4, 4.6, {
      startDeg: 30,
      stroke: row(60, 64, 1),
    }),
  ],
})
