import { floret, inPlace, plain, role } from './build.ts'

/** A ball of small four-petalled florets, each with its eye, no two turned alike. */
export const hydrangea = inPlace({
  id: 'hydrangea',
  name: 'Hydrangea head',
  level: 'practised',
  roles: [role('floret', 'Florets', '#8fa3cc'), role('eye', 'Eyes', '#e9e2c8')],
  florets: [floret('Floret', 17, { kind: 'dome', radiusMm: 11.5, tallMm: 8.8, toDeg: 84 }, { looseDeg: 60 })],
  layers: [
    plain('Dome', 'floret', 'round-10', 1, 0, 0, {
      stroke: { kind: 'mound', radiusMm: 11, topMm: 0, tallMm: 8, shape: 'dome' },
    }),
    plain('Petals', 'floret', 'petal-5', 4, 0.3, 0.6, {
      floretId: 'floret',
      stroke: { kind: 'fan', spanDeg: 74, outMm: 1, tiltStartDeg: 4, tiltEndDeg: 12, curlDeg: 10, flow: 1.1 },
    }),
    plain('Eyes', 'eye', 'cut-1', 1, 0, 1.6, {
      floretId: 'floret',
      stiffness: 'soft',
      stroke: { kind: 'dot', radiusMm: 0.6, tallMm: 0.9 },
    }),
  ],
})
