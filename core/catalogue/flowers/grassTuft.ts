import { inPlace, plain, role } from './build.ts'

/** Tufts of grass pulled up from a many-holed opening. */
export const grassTuft = inPlace({
  id: 'grass-tuft',
  name: 'Grass tuft',
  form: 'leaf',
  level: 'first',
  roles: [role('grass', 'Grass', '#6f8a4a')],
  layers: [
    plain('Tufts', 'grass', 'grass-12', 3, 3.4, 0, {
      stiffness: 'medium',
      stroke: { kind: 'grass', tallMm: 9, leanDeg: 8, taper: 0.35 },
    }),
  ],
})
