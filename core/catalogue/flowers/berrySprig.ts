import { inPlace, plain, role } from './build.ts'

/** A bent stem with berries to both sides, one at its end, and two leaves at its foot. */
export const berrySprig = inPlace({
  id: 'berry-sprig',
  name: 'Sprig of berries',
  form: 'vine',
  level: 'first',
  roles: [
    role('berry', 'Berries', '#8d3038'),
    role('stem', 'Stem', '#6b6b45'),
    role('leaf', 'Leaves', '#6f8a4a'),
  ],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 32, turnDeg: 24 },
    }),
    plain('Leaves', 'leaf', 'leaf-7', 2, 2, 0.4, {
      stiffness: 'medium',
      spreadDeg: 104,
      stroke: { kind: 'leafPull', lengthMm: 13, liftDeg: 12, flow: 1.2 },
    }),
    plain('Lower berries', 'berry', 'round-3', 2, 15, 0.2, {
      stiffness: 'soft',
      startDeg: 6,
      spreadDeg: 21,
      stroke: { kind: 'dot', radiusMm: 2.1, tallMm: 3 },
    }),
    plain('Middle berries', 'berry', 'round-3', 2, 20.5, 0.2, {
      stiffness: 'soft',
      startDeg: 8,
      spreadDeg: 15.5,
      stroke: { kind: 'dot', radiusMm: 2, tallMm: 2.9 },
    }),
    plain('Upper berries', 'berry', 'round-3', 2, 26, 0.2, {
      stiffness: 'soft',
      startDeg: 10.5,
      spreadDeg: 12,
      stroke: { kind: 'dot', radiusMm: 1.9, tallMm: 2.7 },
    }),
    plain('Last berry', 'berry', 'round-3', 1, 31.6, 0.2, {
      stiffness: 'soft',
      startDeg: 12,
      stroke: { kind: 'dot', radiusMm: 2, tallMm: 2.8 },
    }),
  ],
})
