import { border, plain, role } from './build.ts'

/** Soft drops with a point, close together. */
export const dropBorder = border(6.5, {
  id: 'drop-border',
  name: 'Drop border',
  level: 'first',
  roles: [role('drop', 'Drops', '#e6ddc8')],
  layers: [
    plain('Drop', 'drop', 'round-4', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'drop', radiusMm: 3, tallMm: 5.5 },
    }),
  ],
})
