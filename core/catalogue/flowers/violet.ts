import { onNail, plain, role } from './build.ts'

/** Small and narrow: two petals up, two aside, one broader one down, and a pale eye. */
export const violet = onNail(30, {
  id: 'violet',
  name: 'Violet',
  level: 'first',
  roles: [role('petal', 'Petals', '#6c579f'), role('eye', 'Eye', '#ead9a2')],
  layers: [
    plain('Foot', 'petal', 'round-3', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 2.2, topMm: 0, tallMm: 1, shape: 'dome' },
    }),
    plain('Upper petals', 'petal', 'petal-8', 2, 0.2, 0.6, {
      startDeg: 90,
      spreadDeg: 58,
      stroke: { kind: 'fan', spanDeg: 60, outMm: 3, tiltStartDeg: 8, tiltEndDeg: 20, curlDeg: 16, flow: 1.2 },
    }),
    plain('Side petals', 'petal', 'petal-8', 2, 0.2, 0.9, {
      startDeg: 90,
      spreadDeg: 196,
      stroke: {
        kind: 'fan',
        spanDeg: 56,
        outMm: 2.2,
        tiltStartDeg: 6,
        tiltEndDeg: 14,
        curlDeg: 14,
        flow: 1.2,
      },
    }),
    plain('Lower petal', 'petal', 'petal-8', 1, 0.2, 1.2, {
      startDeg: 270,
      stroke: {
        kind: 'fan',
        spanDeg: 92,
        outMm: 2.8,
        tiltStartDeg: 4,
        tiltEndDeg: 12,
        curlDeg: 14,
        flow: 1.2,
      },
    }),
    plain('Eye', 'eye', 'cut-1', 3, 0.9, 2, {
      stiffness: 'soft',
      startDeg: 30,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
  ],
})
