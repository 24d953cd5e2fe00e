import { border, plain, role } from './build.ts'

/** Shells in a row, each starting on the tail of the one before. */
export const shellBorder = border(8.5, {
  id: 'shell-border',
  name: 'Shell border',
  level: 'practised',
  roles: [role('shell', 'Shells', '#e6ddc8')],
  layers: [
    plain('Shell', 'shell', 'star-6-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'shell', lengthMm: 10, swell: 1.35 },
    }),
  ],
})
