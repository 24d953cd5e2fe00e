import { pathArea } from '../area.ts'
import { always, type School } from './school.ts'

/** It lies near the rim and leaves the middle free: half its width in the half width of the top. */
const HALF = 0.2
const OFF_RIM = 0.03

/** A wreath along the rim with a free centre. */
export const wreath: School = {
  id: 'wreath',
  label: 'Wreath',
  hint: 'along the rim, the centre free for words',
  suits: always,
  fullness: 0.9,
  area: ({ chart }) => {
    const half = Math.min(chart.top.x, chart.top.y)
    return pathArea(
      chart,
      chart.rimLine((OFF_RIM + HALF) * half),
      () => HALF * half,
      () => 1,
      { overhang: 0.45, balanced: true },
    )
  },
}
