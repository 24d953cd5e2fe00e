import { inPlace, plain, role } from './build.ts'

/** A winding stem with small buds and leaves along it. */
export const vineWithBuds = inPlace({
  id: 'vine-buds',
  name: 'Vine with buds',
  form: 'vine',
  level: 'first',
  roles: [role('stem', 'Stem and leaves', '#74834d'), role('bud', 'Buds', '#b48cc0')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 46, waveMm: 3, waves: 1.5, taper: 0.3 },
    }),
    plain('Leaves', 'stem', 'leaf-5', 3, 12, 0.4, {
      stiffness: 'medium',
      spreadDeg: 40,
      stroke: { kind: 'leafPull', lengthMm: 8, liftDeg: 8 },
    }),
    plain('Buds', 'bud', 'round-3', 3, 26, 0.6, {
      stiffness: 'medium',
      spreadDeg: 24,
      stroke: { kind: 'dot', radiusMm: 2, tallMm: 3 },
    }),
  ],
})
