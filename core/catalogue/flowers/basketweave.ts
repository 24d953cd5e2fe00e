import { border, plain, role } from './build.ts'

/** Height of the woven band, mm: uprights run from its foot to its top. */
const HIGH_MM = 22
/** Uprights stand so far apart, mm; a bar crosses one and ends beneath the next. */
const APART_MM = 5
const upright = (name: string, atMm: number) =>
  plain(name, 'weave', 'round-3', 1, 0, 0.2, {
    stiffness: 'medium',
    at: { kind: 'line', fromMm: atMm - 0.5, lengthMm: 1, angleDeg: 90, sides: 'left' },
    stroke: { kind: 'line', lengthMm: HIGH_MM },
  })
const bars = (name: string, fromMm: number, firstMm: number) =>
  plain(name, 'weave', 'round-3', 3, fromMm, 1.4, {
    stiffness: 'medium',
    startDeg: 90,
    at: { kind: 'line', fromMm: firstMm, lengthMm: 14, angleDeg: 90, sides: 'right' },
    stroke: { kind: 'line', lengthMm: 2 * APART_MM },
  })

/** A woven band: an upright, short bars across it, the next upright over their ends, bars across that in the gaps. */
export const basketweave = border(2 * APART_MM, {
  id: 'basketweave',
  name: 'Basketweave',
  level: 'practised',
  roles: [role('weave', 'Weave', '#c9a877')],
  layers: [
    plain('Foot line', 'weave', 'round-3', 1, 0, 0, {
      stiffness: 'medium',
      stroke: { kind: 'line', lengthMm: 2 * APART_MM },
    }),
    upright('First upright', APART_MM),
    bars('Bars over the first', 0, 2.8),
    upright('Second upright', 2 * APART_MM),
    bars('Bars over the second', APART_MM, 6.3),
  ],
})
