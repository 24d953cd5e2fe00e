import { onNail, plain, role } from './build.ts'

/** A pointed leaf pulled so long and lifted so far. */
const pull = (lengthMm: number, liftDeg: number) =>
  ({ kind: 'leafPull', lengthMm, liftDeg, trough: 0.15, flow: 1.2 }) as const

/** Two rows of red leaves over green ones, around a knot of small yellow buds. */
export const poinsettia = onNail(60, {
  id: 'poinsettia',
  name: 'Poinsettia',
  level: 'first',
  roles: [
    role('petal', 'Red leaves', '#b0302f'),
    role('leaf', 'Green leaves', '#59783f'),
    role('bud', 'Buds', '#d9b23a'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 1.6, shape: 'dome' },
    }),
    plain('Green leaves', 'leaf', 'leaf-10', 3, 6, 0.4, { startDeg: 30, stroke: pull(19, 2) }),
    plain('Outer leaves', 'petal', 'leaf-10', 6, 3, 0.9, { stroke: pull(19, 8) }),
    plain('Inner leaves', 'petal', 'leaf-7', 6, 2, 2.4, { startDeg: 30, stroke: pull(13, 22) }),
    plain('Buds', 'bud', 'round-2', 5, 1.7, 3.2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.6 },
    }),
    plain('Middle bud', 'bud', 'round-2', 1, 0, 3.4, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1.1, tallMm: 1.8 },
    }),
  ],
})
