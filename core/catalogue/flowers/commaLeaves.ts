import { inPlace, plain, role } from './build.ts'

/** Three fat commas that run out into points, as leaves beside a small flower. */
export const commaLeaves = inPlace({
  id: 'comma-leaves',
  name: 'Three comma leaves',
  form: 'leaf',
  level: 'first',
  roles: [role('leaf', 'Leaves', '#6f8a4a')],
  layers: [
    plain('Side leaves', 'leaf', 'round-3', 2, 1, 0, {
      stiffness: 'medium',
      spreadDeg: 84,
      stroke: { kind: 'comma', lengthMm: 11, turnDeg: 16, swell: 1.15 },
    }),
    plain('Middle leaf', 'leaf', 'round-3', 1, 1.4, 0.4, {
      stiffness: 'medium',
      stroke: { kind: 'comma', lengthMm: 13, turnDeg: 12, swell: 1.2 },
    }),
  ],
})
