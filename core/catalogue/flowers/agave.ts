import { onNail, plain, role } from './build.ts'

/** A leaf pulled so long and lifted so far. */
const pull = (lengthMm: number, liftDeg: number) =>
  ({ kind: 'leafPull', lengthMm, liftDeg, widthScale: 0.9, trough: 0.12, flow: 1.4 }) as const

/** Long pointed leaves in rows that stand ever steeper. */
export const agave = onNail(50, {
  id: 'agave',
  name: 'Spiky succulent',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaves', '#7f9a86')],
  layers: [
    plain('Foot', 'leaf', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4.5, topMm: 0, tallMm: 3, shape: 'dome' },
    }),
    plain('Outer leaves', 'leaf', 'leaf-7', 9, 3, 1, { stroke: pull(14, 12) }),
    plain('Second row', 'leaf', 'leaf-7', 8, 2.6, 2.2, { startDeg: 20, stroke: pull(13, 34) }),
    plain('Third row', 'leaf', 'leaf-7', 5, 1.8, 3, { startDeg: 8, stroke: pull(11, 56) }),
    plain('Heart', 'leaf', 'round-2', 3, 0.8, 3, {
      startDeg: 30,
      stroke: { kind: 'spike', tallMm: 8, leanDeg: 8 },
    }),
  ],
})
