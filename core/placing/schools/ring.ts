import { pathArea } from '../area.ts'
import { always, onTop, type School, steps } from './school.ts'

/** Its middle line runs at this share of the half width, and it is so wide to either side of it. */
const AT = 0.6
const HALF = 0.32

/** A ring of flowers around the middle. */
export const ring: School = {
  id: 'ring',
  label: 'Ring',
  hint: 'around the middle, the middle small',
  suits: always,
  fullness: 0.9,
  area: ({ chart, turn }) =>
    pathArea(
      chart,
      steps(0, 2 * Math.PI, 49).map((a) => onTop(chart, AT, turn + a)),
      () => HALF * Math.min(chart.top.x, chart.top.y),
      () => 1,
      { overhang: 0.35, balanced: true },
    ),
}
