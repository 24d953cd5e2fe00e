import { inPlace, plain, role } from './build.ts'

/** A stem with whorls of small drops, closer towards the top. */
export const lavender = inPlace({
  id: 'lavender',
  name: 'Lavender',
  level: 'first',
  roles: [role('bud', 'Buds', '#8c7fb5'), role('stem', 'Stem', '#74834d')],
  layers: [
    plain('Stem', 'stem', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 44, turnDeg: 14 },
    }),
    plain('Whorl 1', 'bud', 'round-2', 3, 22, 0.6, {
      stiffness: 'medium',
      startDeg: 3,
      spreadDeg: 15,
      stroke: { kind: 'drop', radiusMm: 1.5, tallMm: 2.6 },
    }),
    plain('Whorl 2', 'bud', 'round-2', 3, 27, 0.6, {
      stiffness: 'medium',
      startDeg: 4,
      spreadDeg: 12,
      stroke: { kind: 'drop', radiusMm: 1.5, tallMm: 2.6 },
    }),
    plain('Whorl 3', 'bud', 'round-2', 3, 32, 0.6, {
      stiffness: 'medium',
      startDeg: 5,
      spreadDeg: 10,
      stroke: { kind: 'drop', radiusMm: 1.4, tallMm: 2.6 },
    }),
    plain('Whorl 4', 'bud', 'round-2', 3, 36.5, 0.6, {
      stiffness: 'medium',
      startDeg: 6,
      spreadDeg: 8,
      stroke: { kind: 'drop', radiusMm: 1.3, tallMm: 2.6 },
    }),
    plain('Whorl 5', 'bud', 'round-2', 3, 40.5, 0.6, {
      stiffness: 'medium',
      startDeg: 6.4,
      spreadDeg: 6,
      stroke: { kind: 'drop', radiusMm: 1.1, tallMm: 2.6 },
    }),
    plain('Whorl 6', 'bud', 'round-2', 3, 44, 0.6, {
      stiffness: 'medium',
      startDeg: 6.8,
      spreadDeg: 3.4,
      stroke: { kind: 'drop', radiusMm: 0.9, tallMm: 2.6 },
    }),
  ],
})
