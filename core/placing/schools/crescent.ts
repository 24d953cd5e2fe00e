import { pathArea } from '../area.ts'
import { always, onTop, type School, steps } from './school.ts'

/** How far round it goes, and at which share of the half width. */
const ARC = (7 / 6) * Math.PI
const AT = 0.56
/** Thick in the middle, thin at the horns, in the half width of the top. */
const THIN = 0.1
const THICK = 0.3

/** A sickle, its largest flowers in the middle of its back. */
export const crescent: School = {
  id: 'crescent',
  label: 'Crescent',
  hint: 'a sickle, large in its middle, small at its horns',
  suits: always,
  fullness: 0.9,
  area: ({ chart, turn }) => {
    const half = Math.min(chart.top.x, chart.top.y)
    return pathArea(
      chart,
      // opens to the right and a little forward
      steps(-ARC / 2, ARC / 2, 41).map((a) => onTop(chart, AT, turn + Math.PI * 0.85 + a)),
      (t) => half * (THIN + THICK * Math.sin(Math.PI * t) ** 0.7),
      (t) => 0.3 + 0.7 * Math.sin(Math.PI * t),
    )
  },
}
