import { onNail, plain, role } from './build.ts'

/** Pointed petals over a mist of green threads, with a horned green heart. */
export const nigella = onNail(50, {
  id: 'nigella',
  name: 'Nigella',
  level: 'practised',
  roles: [
    role('petal', 'Petals', '#7f93bd'),
    role('mist', 'Mist', '#7c8a55'),
    role('heart', 'Heart', '#a5ad72'),
  ],
  layers: [
    plain('Mist', 'mist', 'round-1', 14, 3, 0.4, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 17, waveMm: 0.6, waves: 1.5, taper: 0.6 },
    }),
    plain('Outer petals', 'petal', 'petal-13', 5, 0.6, 1.4, {
      stroke: {
        kind: 'fan',
        spanDeg: 50,
        outMm: 5.6,
        tiltStartDeg: 6,
        tiltEndDeg: 13,
        curlDeg: 10,
        lipDeg: -14,
        point: 0.9,
        flow: 1.35,
      },
    }),
    plain('Inner petals', 'petal', 'petal-10', 5, 0.6, 2.8, {
      startDeg: 36,
      stroke: {
        kind: 'fan',
        spanDeg: 50,
        outMm: 4.6,
        tiltStartDeg: 12,
        tiltEndDeg: 20,
        curlDeg: 10,
        lipDeg: -12,
        point: 0.9,
        flow: 1.35,
      },
    }),
    plain('Heart', 'heart', 'round-3', 1, 0, 2.8, { stroke: { kind: 'dot', radiusMm: 3, tallMm: 4.6 } }),
    plain('Horns', 'heart', 'round-1', 5, 1.6, 6, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 5, leanDeg: 30 },
    }),
  ],
})
