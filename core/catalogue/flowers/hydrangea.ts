import { inPlace, plain, role } from './build.ts'

/** A ball of small four-petalled florets. */
export const hydrangea = inPlace({
  id: 'hydrangea',
  name: 'Hydrangea head',
  level: 'practised',
  roles: [role('floret', 'Florets', '#8fa3cc'), role('eye', 'Eyes', '#e9e2c8')],
  layers: [
    plain('Dome', 'floret', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 12, topMm: 0, tallMm: 9, shape: 'dome' },
    }),
    plain('Lowest petals', 'floret', 'petal-8', 16, 9.6, 1.8, {
      startDeg: 0,
      stroke: { kind: 'fan', spanDeg: 60, outMm: 2, tiltStartDeg: -8, tiltEndDeg: 1, curlDeg: 10, flow: 1.3 },
    }),
    plain('Low petals', 'floret', 'petal-8', 14, 8, 4.6, {
      startDeg: 12,
      stroke: { kind: 'fan', spanDeg: 60, outMm: 2, tiltStartDeg: 6, tiltEndDeg: 15, curlDeg: 10, flow: 1.3 },
    }),
    plain('High petals', 'floret', 'petal-8', 11, 5.2, 7.4, {
      startDeg: 4,
      stroke: {
        kind: 'fan',
        spanDeg: 60,
        outMm: 2,
        tiltStartDeg: 22,
        tiltEndDeg: 31,
        curlDeg: 10,
        flow: 1.3,
      },
    }),
    plain('Top petals', 'floret', 'petal-8', 7, 2, 9.2, {
      startDeg: 0,
      stroke: {
        kind: 'fan',
        spanDeg: 60,
        outMm: 2,
        tiltStartDeg: 38,
        tiltEndDeg: 47,
        curlDeg: 10,
        flow: 1.3,
      },
    }),
    plain('Low eyes', 'eye', 'cut-1', 9, 10.6, 4.8, {
      stiffness: 'soft',
      startDeg: 10,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
    plain('Eyes', 'eye', 'cut-1', 7, 7.4, 8.4, {
      stiffness: 'soft',
      startDeg: 0,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
    plain('Top eyes', 'eye', 'cut-1', 4, 3, 10.4, {
      stiffness: 'soft',
      startDeg: 20,
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
  ],
})
