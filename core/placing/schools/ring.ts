import { pathArea } from '../area.ts'
import { always, type School } from './school.ts'

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
  area: ({ chart }) => {
    const half = Math.min(chart.top.x, chart.top.y)
    return pathArea(
      chart,
      chart.rimLine((1 - AT) * half),
      () => HALF * half,
      () => 1,
      { overhang: 0.35, balanced: true },
    )
  },
}
