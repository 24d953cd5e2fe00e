import { border, plain, role } from './build.ts'

/** Short waves that lie into each other: each begins under the bow of the one before. */
export const ropeBorder = border(6, {
  id: 'rope-border',
  name: 'Rope border',
  level: 'practised',
  roles: [role('rope', 'Rope', '#e6ddc8')],
  layers: [
    plain('Wave', 'rope', 'star-6-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 11, waveMm: 2.2, waves: 1, taper: 0.25 },
    }),
  ],
})
