import { inPlace, plain, role } from './build.ts'

/** A blossom of five dots around one: the quickest flower there is. */
export const dotBlossom = inPlace({
  id: 'dot-blossom',
  name: 'Blossom of dots',
  level: 'first',
  roles: [role('petal', 'Petals', '#e7d3dc'), role('eye', 'Eye', '#d2a33a')],
  layers: [
    plain('Petals', 'petal', 'round-3', 5, 2.65, 0, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 1.6, tallMm: 1.9 },
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 0.4, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 1.1, tallMm: 1.8 },
    }),
  ],
})
