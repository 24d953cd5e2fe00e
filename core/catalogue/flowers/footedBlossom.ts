import { onNail, plain, role } from './build.ts'

/** A blossom on a disc, so that it lifts off its parchment in one piece. */
export const footedBlossom = onNail(40, {
  id: 'footed-blossom',
  name: 'Blossom on a disc',
  level: 'first',
  roles: [role('petal', 'Petals', '#e9d3b8'), role('eye', 'Eye', '#b0763a')],
  layers: [
    plain('Disc', 'petal', 'petal-8', 1, 0.2, 0.4, { stroke: { kind: 'disc', flow: 1.1 } }),
    plain('Petals', 'petal', 'petal-10', 6, 0.3, 1.4, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 66,
        outMm: 2.8,
        tiltStartDeg: 4,
        tiltEndDeg: 12,
        curlDeg: 16,
        lipDeg: -16,
        point: 0,
        flow: 1.5,
      },
    }),
    plain('Eye', 'eye', 'round-2', 1, 0, 2.2, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 1.4, tallMm: 1.8 },
    }),
  ],
})
