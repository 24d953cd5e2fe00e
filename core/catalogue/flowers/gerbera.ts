import { onNail, plain, role } from './build.ts'

/** A narrow ray. */
const ray = (tiltStartDeg: number, tiltEndDeg: number, outMm: number) =>
  ({
    kind: 'fan',
    spanDeg: 16,
    outMm,
    tiltStartDeg,
    tiltEndDeg,
    point: 0.3,
    curlDeg: 8,
    sideMm: 1.8,
    flow: 1.2,
  }) as const

/** Two rows of narrow rays, a collar of short spikes and a dark button. */
export const gerbera = onNail(60, {
  id: 'gerbera',
  name: 'Gerbera',
  level: 'practised',
  roles: [
    role('ray', 'Rays', '#d9703f'),
    role('collar', 'Collar', '#e6b07a'),
    role('button', 'Button', '#4a3226'),
  ],
  layers: [
    plain('Foot', 'ray', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9.5, topMm: 0, tallMm: 1.4, shape: 'dome' },
    }),
    plain('Outer rays', 'ray', 'petal-10', 20, 4, 0.8, { stroke: ray(3, 8, 8) }),
    plain('Inner rays', 'ray', 'petal-10', 16, 3.4, 2, { startDeg: 9, stroke: ray(12, 17, 5.6) }),
    plain('Button', 'button', 'round-5', 1, 0, 1.8, {
      stroke: { kind: 'mound', radiusMm: 3.6, topMm: 0, tallMm: 2, shape: 'dome' },
    }),
    plain('Collar', 'collar', 'round-1-5', 20, 4, 3, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 3, leanDeg: 42 },
    }),
    plain('Inner collar', 'collar', 'round-1-5', 12, 2.6, 3.6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 2, leanDeg: 24 },
    }),
  ],
})
