import { border, plain, role } from './build.ts'

/** From the head of one shell to the next, mm, and how far round each is swept. */
const STEP_MM = 8
const SWEEP_DEG = 120

/** Shells swept to the left and to the right in turn, each over the tail of the one before. */
export const reverseShellBorder = border(2 * STEP_MM, {
  id: 'reverse-shell-border',
  name: 'Reverse shell border',
  level: 'practised',
  roles: [role('shell', 'Shells', '#e2d6c4')],
  layers: [
    plain('Left shell', 'shell', 'star-6-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'comma', lengthMm: 13, turnDeg: SWEEP_DEG, swell: 1.5 },
    }),
    // along the chord of the first, and swept the other way
    plain('Right shell', 'shell', 'star-6-5', 1, 0, 0, {
      stiffness: 'medium',
      startDeg: SWEEP_DEG / 2,
      at: { kind: 'line', fromMm: STEP_MM, lengthMm: 1, angleDeg: SWEEP_DEG / 2, sides: 'left' },
      stroke: { kind: 'comma', lengthMm: 13, turnDeg: -SWEEP_DEG, swell: 1.5 },
    }),
  ],
})
