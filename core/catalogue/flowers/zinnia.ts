import { onNail, plain, role } from './build.ts'

/** Five flat rows of rounded petals over a low dome, with a dotted eye. */
export const zinnia = onNail(50, {
  id: 'zinnia',
  name: 'Zinnia',
  level: 'practised',
  roles: [role('petal', 'Petals', '#c65f4a'), role('eye', 'Eye', '#d9b24a')],
  layers: [
    plain('Dome', 'petal', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 9, topMm: 0, tallMm: 4.5, shape: 'dome' },
    }),
    plain('Row of 12', 'petal', 'petal-8', 12, 7.4, 0.6, {
      startDeg: 0,
      stroke: { kind: 'fan', spanDeg: 44, outMm: 5.4, tiltStartDeg: 0, tiltEndDeg: 7, curlDeg: 8, flow: 1.3 },
    }),
    plain('Row of 10', 'petal', 'petal-8', 10, 6, 1.9, {
      startDeg: 12,
      stroke: {
        kind: 'fan',
        spanDeg: 44,
        outMm: 5.4,
        tiltStartDeg: 8,
        tiltEndDeg: 15,
        curlDeg: 8,
        flow: 1.3,
      },
    }),
    plain('Row of 8', 'petal', 'petal-8', 8, 4.4, 3.1, {
      startDeg: 5,
      stroke: {
        kind: 'fan',
        spanDeg: 44,
        outMm: 5.4,
        tiltStartDeg: 18,
        tiltEndDeg: 25,
        curlDeg: 8,
        flow: 1.3,
      },
    }),
    plain('Row of 6', 'petal', 'petal-8', 6, 2.8, 4, {
      startDeg: 16,
      stroke: {
        kind: 'fan',
        spanDeg: 44,
        outMm: 5.4,
        tiltStartDeg: 30,
        tiltEndDeg: 37,
        curlDeg: 8,
        flow: 1.3,
      },
    }),
    plain('Eye', 'eye', 'round-1-5', 8, 1.7, 5.2, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.8, tallMm: 1.4 },
    }),
    plain('Middle of the eye', 'eye', 'round-1-5', 3, 0.6, 5.6, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.8, tallMm: 1.4 },
    }),
  ],
})
