import { inPlace, plain, role } from './build.ts'

/** Five round petals of a finger's breadth with a yellow eye: filler for the gaps between large flowers. */
export const forgetMeNot = inPlace({
  id: 'forget-me-not',
  name: 'Forget-me-not',
  level: 'first',
  roles: [role('petal', 'Petals', '#8fb0d4'), role('eye', 'Eye', '#e8c54a')],
  layers: [
    plain('Petals', 'petal', 'petal-8', 5, 0.2, 0.6, {
      startDeg: 90,
      stroke: {
        kind: 'fan',
        spanDeg: 66,
        outMm: 2.6,
        tiltStartDeg: 4,
        tiltEndDeg: 14,
        curlDeg: 14,
        flow: 1.1,
      },
    }),
    plain('Eye', 'eye', 'round-1-5', 1, 0, 1.4, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 1, tallMm: 1.3 },
    }),
  ],
})
