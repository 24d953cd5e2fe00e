import { inPlace, plain, role } from './build.ts'

/** Leaflets in pairs up the frond, shorter towards its tip: where each part begins, its pairs, and how long they are, mm. */
const PARTS = [
  { name: 'Lower leaflets', fromMm: 7, overMm: 12.5, pairs: 5, longMm: 12 },
  { name: 'Middle leaflets', fromMm: 22.5, overMm: 8.5, pairs: 4, longMm: 9 },
  { name: 'Upper leaflets', fromMm: 33.5, overMm: 5, pairs: 3, longMm: 6 },
] as const

/** A frond: a thin stem with narrow leaflets in pairs, and one at its tip. */
export const fern = inPlace({
  id: 'fern',
  name: 'Fern frond',
  form: 'leaf',
  level: 'practised',
  roles: [role('leaf', 'Frond', '#5f7f45')],
  layers: [
    plain('Stem', 'leaf', 'round-1-5', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'vine', lengthMm: 39, taper: 0.4 },
    }),
    ...PARTS.map(({ name, fromMm, overMm, pairs, longMm }) =>
      plain(name, 'leaf', 'leaf-5', 2 * pairs, 0, 0.3, {
        stiffness: 'medium',
        at: { kind: 'line', fromMm, lengthMm: overMm, angleDeg: 58 },
        stroke: { kind: 'leafPull', lengthMm: longMm, liftDeg: 4, flow: 1 },
      }),
    ),
    plain('Tip', 'leaf', 'leaf-5', 1, 0, 0, {
      stiffness: 'medium',
      at: { kind: 'layer', layerId: 'stem', at: 'ends' },
      stroke: { kind: 'leafPull', lengthMm: 6, liftDeg: 4, flow: 1 },
    }),
  ],
})
