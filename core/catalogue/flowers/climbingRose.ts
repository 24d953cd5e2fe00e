import { onNail, plain, role, striped } from './build.ts'

/** A row of teardrops: narrow, pointed, and steeper the nearer they are to the heart. */
const teardrops = (name: string, startDeg: number, [ringMm, heightMm, outMm, tiltDeg]: Row) =>
  striped(name, ['throat', 'petal', 0.35], 'petal-10', 5, ringMm, heightMm, {
    startDeg,
    stroke: {
      kind: 'fan',
      spanDeg: 46,
      outMm,
      tiltStartDeg: tiltDeg,
      tiltEndDeg: tiltDeg + 8,
      point: 0.5,
      curlDeg: 20,
      lipDeg: -14,
      flow: 1,
    },
  })
type Row = [ringMm: number, heightMm: number, outMm: number, tiltDeg: number]

/** Four horseshoes over mounds, narrow petals between them, three rows of teardrops, and spikes that close over the stamens. */
export const climbingRose = onNail(60, {
  id: 'climbing-rose',
  name: 'Climbing rose',
  level: 'skilled',
  roles: [
    role('petal', 'Petals', '#e2a3a8'),
    role('throat', 'Throat', '#b4475c'),
    role('heart', 'Heart', '#a73f55'),
    role('stamen', 'Stamens', '#e0b652'),
  ],
  layers: [
    plain('Mounds', 'petal', 'round-5', 4, 8, 0, {
      startDeg: 45,
      stroke: { kind: 'mound', radiusMm: 4, topMm: 1, tallMm: 2.4, shape: 'dome' },
    }),
    plain('Foot', 'petal', 'round-5', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 5, topMm: 2, tallMm: 2.2, shape: 'dome' },
    }),
    striped('Horseshoes', ['throat', 'petal', 0.3], 'petal-17', 4, 1.2, 1.4, {
      startDeg: 45,
      stroke: {
        kind: 'fan',
        spanDeg: 84,
        outMm: 5.5,
        tiltStartDeg: 2,
        tiltEndDeg: 8,
        curlDeg: 22,
        lipDeg: -14,
        flow: 1.1,
      },
    }),
    striped('Between', ['throat', 'petal', 0.3], 'petal-13', 4, 1.6, 2.4, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 40,
        outMm: 6,
        tiltStartDeg: 4,
        tiltEndDeg: 10,
        point: 0.35,
        curlDeg: 14,
        lipDeg: -8,
        flow: 1,
      },
    }),
    teardrops('Large teardrops', 20, [2.6, 3.6, 4.6, 22]),
    teardrops('Middle teardrops', 56, [2.4, 5, 3, 38]),
    striped('Small teardrops', ['throat', 'petal', 0.35], 'petal-10', 5, 2, 5.6, {
      startDeg: 20,
      stroke: { kind: 'outAndBack', outMm: 2.4, sideMm: 2.4, tiltMidDeg: 36, lipDeg: 12, flow: 1 },
    }),
    plain('Stamens', 'stamen', 'cut-1', 9, 1.2, 6.2, {
      stiffness: 'medium',
      stroke: { kind: 'spike', tallMm: 3.4, leanDeg: 14, taper: 0.3 },
    }),
    plain('Closing spikes', 'heart', 'round-2', 8, 3, 5.6, {
      stiffness: 'medium',
      stroke: { kind: 'curvedSpike', lengthMm: 6.5, leanDeg: 20, curlDeg: 96, taper: 0.6 },
    }),
  ],
})
