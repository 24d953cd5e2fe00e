import { border, plain, role } from './build.ts'

/** A fine string swinging along the edge. */
export const zigzagBorder = border(30, {
  id: 'zigzag-border',
  name: 'Zigzag border',
  level: 'first',
  roles: [role('string', 'String', '#e6ddc8')],
  layers: [
    plain('String', 'string', 'round-2', 1, 60, 0, {
      stiffness: 'soft',
      stroke: { kind: 'zigzag', spanDeg: 28.6, ampMm: 2, waves: 9 },
    }),
  ],
})
