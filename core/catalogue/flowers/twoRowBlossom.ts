import { onNail, plain, role } from './build.ts'

/** Five petals below and five smaller ones above, turned by half a petal. */
export const twoRowBlossom = onNail(40, {
  id: 'two-row-blossom',
  name: 'Two-row blossom',
  level: 'first',
  roles: [
    role('outer', 'Outer petals', '#e9c3cb'),
    role('inner', 'Inner petals', '#f2dce0'),
    role('stamen', 'Stamens', '#d9a520'),
  ],
  layers: [
    plain('Foot', 'outer', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 3.2, topMm: 0, tallMm: 1.5, shape: 'dome' },
    }),
    plain('Outer petals', 'outer', 'petal-13', 5, 0.2, 1, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 84,
        outMm: 3.4,
        tiltStartDeg: 3,
        tiltEndDeg: 13,
        curlDeg: 18,
        lipDeg: -20,
        point: 0,
        flow: 1.5,
      },
    }),
    plain('Inner petals', 'inner', 'petal-10', 5, 0.2, 2.6, {
      startDeg: 36,
      stroke: {
        kind: 'fan',
        spanDeg: 84,
        outMm: 2.4,
        tiltStartDeg: 14,
        tiltEndDeg: 24,
        curlDeg: 18,
        lipDeg: -14,
        point: 0,
        flow: 1.5,
      },
    }),
    plain('Stamens', 'stamen', 'round-1-5', 6, 1.5, 3.4, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.8, tallMm: 1.3 },
    }),
  ],
})
