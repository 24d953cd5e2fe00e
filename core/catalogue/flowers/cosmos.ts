import { onNail, plain, role, striped } from './build.ts'

/** Eight broad flat petals with a darker ring at the throat, around a dotted heart. */
export const cosmos = onNail(50, {
  id: 'cosmos',
  name: 'Cosmos',
  level: 'first',
  roles: [
    role('petal', 'Petals', '#d7a4c4'),
    role('throat', 'Throat', '#9b4a80'),
    role('heart', 'Heart', '#d9a520'),
  ],
  layers: [
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 4, topMm: 0, tallMm: 1.4, shape: 'dome' },
    }),
    striped('Petals', ['throat', 'petal', 0.22], 'petal-13', 8, 1.6, 0.8, {
      stroke: {
        kind: 'fan',
        spanDeg: 46,
        outMm: 6,
        tiltStartDeg: 3,
        tiltEndDeg: 12,
        curlDeg: 10,
        lipDeg: -6,
        flow: 1.2,
        ripple: { lengthMm: 8, ampMm: 0.4, power: 2.6 },
      },
    }),
    plain('Heart', 'heart', 'round-5', 1, 0, 1.4, {
      stroke: { kind: 'mound', radiusMm: 2.6, topMm: 0, tallMm: 2, shape: 'dome' },
    }),
    plain('Dots', 'heart', 'cut-1', 12, 2.5, 2.2, {
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
  ],
})
