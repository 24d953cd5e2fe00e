import { inPlace, plain, role } from './build.ts'

/** A comma, its mirror and a hairline out of one root: the smallest ornament of line work. */
export const scroll = inPlace({
  id: 'scroll',
  name: 'Comma scroll',
  form: 'vine',
  level: 'first',
  roles: [role('line', 'Scroll', '#b98a3a')],
  layers: [
    plain('Large comma', 'line', 'round-2', 1, 0, 0, {
      stiffness: 'soft',
      startDeg: 6,
      stroke: { kind: 'comma', lengthMm: 22, turnDeg: 120 },
    }),
    plain('Small comma', 'line', 'round-2', 1, 0.6, 0, {
      stiffness: 'soft',
      startDeg: -24,
      stroke: { kind: 'comma', lengthMm: 15, turnDeg: -110, swell: 1.2 },
    }),
    plain('Hairline', 'line', 'cut-1', 1, 1.4, 0, {
      stiffness: 'writing',
      startDeg: -8,
      stroke: { kind: 'line', lengthMm: 15 },
    }),
  ],
})
