import { inPlace, plain, role } from './build.ts'

/** How the stem bends, and its leaves with it. */
const BEND_DEG = 42

/** A bent stem with leaves to one side and the other, and one at its end: what fills a gap between flowers. */
export const leafySprig = inPlace({
  id: 'leafy-sprig',
  name: 'Leafy sprig',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaves', '#7c9160'), role('stem', 'Stem', '#74754d')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 34, turnDeg: BEND_DEG, taper: 0.3 },
    }),
    plain('Leaves', 'leaf', 'leaf-7', 6, 0, 0.4, {
      stiffness: 'medium',
      at: {
        kind: 'line',
        fromMm: 6,
        lengthMm: 25,
        turnDeg: (BEND_DEG * 25) / 34,
        angleDeg: 48,
        sides: 'alternate',
      },
      stroke: { kind: 'leafPull', lengthMm: 11, liftDeg: 8, flow: 1.1 },
    }),
    plain('Last leaf', 'leaf', 'leaf-7', 1, 0, 0, {
      stiffness: 'medium',
      at: { kind: 'layer', layerId: 'stem', at: 'ends' },
      stroke: { kind: 'leafPull', lengthMm: 11, liftDeg: 8, flow: 1.1 },
    }),
  ],
})
