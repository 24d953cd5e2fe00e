import { inPlace, plain, role } from './build.ts'

/** A comma and its mirror: the smallest ornament of line work. */
export const scroll = inPlace({
  id: 'scroll',
  name: 'Comma scroll',
  form: 'vine',
  level: 'first',
  roles: [role('line', 'Scroll', '#b98a3a')],
  layers: [
    plain('Large comma', 'line', 'round-2', 1, 0, 0, {
      stiffness: 'soft',
      stroke: { kind: 'comma', lengthMm: 22, turnDeg: 120 },
    }),
    plain('Small comma', 'line', 'round-2', 1, 6, 0, {
      stiffness: 'soft',
      startDeg: -30,
      stroke: { kind: 'comma', lengthMm: 14, turnDeg: -110, swell: 1.2 },
    }),
    plain('Hairline', 'line', 'round-1', 1, 9, 0, {
      stiffness: 'writing',
      startDeg: -4,
      stroke: { kind: 'line', lengthMm: 12 },
    }),
  ],
})
