import { onNail, plain, role } from './build.ts'

/** Two rows of pointed petals pulled from a leaf opening around a broad dotted heart. */
export const sunflower = onNail(60, {
  id: 'sunflower',
  name: 'Sunflower',
  level: 'first',
  roles: [role('petal', 'Petals', '#d9a126'), role('heart', 'Heart', '#54392a')],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 7, topMm: 0, tallMm: 1.6, shape: 'dome' },
    }),
    plain('Outer petals', 'petal', 'leaf-7', 15, 6.4, 0.6, {
      stiffness: 'medium',
      stroke: { kind: 'leafPull', lengthMm: 15, widthScale: 0.9, liftDeg: 4, trough: 0.12, flow: 1.2 },
    }),
    plain('Inner petals', 'petal', 'leaf-7', 15, 5.8, 1.8, {
      stiffness: 'medium',
      startDeg: 12,
      stroke: { kind: 'leafPull', lengthMm: 12.5, widthScale: 0.85, liftDeg: 20, trough: 0.12, flow: 1.2 },
    }),
    plain('Heart', 'heart', 'round-5', 1, 0, 1.6, {
      stroke: { kind: 'mound', radiusMm: 7, topMm: 0, tallMm: 3, shape: 'dome' },
    }),
    plain('Rim of dots', 'heart', 'round-2', 20, 6.4, 2.6, {
      stiffness: 'medium',
      stroke: { kind: 'drop', radiusMm: 1.1, tallMm: 2 },
    }),
    plain('Inner dots', 'heart', 'round-2', 12, 3.9, 4, {
      stiffness: 'medium',
      stroke: { kind: 'drop', radiusMm: 1, tallMm: 1.6 },
    }),
  ],
})
