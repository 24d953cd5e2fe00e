import { border, plain, role } from './build.ts'

/** Each row is piped so much higher than the one before, mm, and hangs over its upper edge. */
const ROWS_MM = 10
const row = (name: string, i: number) =>
  plain(name, 'skirt', 'petal-17', 1, 0, 0.4 + 1.2 * i, {
    stiffness: 'medium',
    at: { kind: 'line', fromMm: i * ROWS_MM, lengthMm: 1, angleDeg: 90, sides: 'right' },
    startDeg: 90,
    stroke: {
      kind: 'ribbon',
      lengthMm: 45,
      tiltEndDeg: 74,
      flow: 1.2,
      ripple: { lengthMm: 9, ampMm: 2, power: 1.7 },
    },
  })

/** Three rows of ruffles down a side, the lowest first, each hanging over the one below. */
export const ruffledSkirt = border(44, {
  id: 'ruffled-skirt',
  name: 'Ruffled skirt for a side',
  level: 'practised',
  roles: [role('skirt', 'Ruffles', '#e3d2cb')],
  layers: [
    row('Lowest ruffle', 0),
    row('Second ruffle', 1),
    row('Top ruffle', 2),
    plain('Edge', 'skirt', 'round-3', 1, 0, 3.6, {
      stiffness: 'medium',
      startDeg: 90,
      at: { kind: 'line', fromMm: 2 * ROWS_MM + 1, lengthMm: 1, angleDeg: 90, sides: 'right' },
      stroke: { kind: 'line', lengthMm: 45 },
    }),
  ],
})
