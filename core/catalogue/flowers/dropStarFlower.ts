import { inPlace, plain, role } from './build.ts'

/** One squeeze of a star with a turn of the wrist, and a dot. */
export const dropStarFlower = inPlace({
  id: 'drop-star-flower',
  name: 'Drop-star flower',
  level: 'first',
  roles: [role('star', 'Star', '#dbb3bd'), role('eye', 'Eye', '#d9a520')],
  layers: [
    plain('Star', 'star', 'star-9-6', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'dropStar', tallMm: 4.4, swell: 1.5, spinDeg: 60 },
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 3.8, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.5 },
    }),
  ],
})
