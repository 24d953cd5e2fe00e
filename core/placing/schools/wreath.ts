import { pathArea } from '../area.ts'
import { always, onTop, type School, steps } from './school.ts'

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
  area: ({ chart, turn }) =>
    pathArea(
      chart,
      steps(0, 2 * Math.PI, 73).map((a) => onTop(chart, 1 - OFF_RIM - HALF, turn + a)),
      () => HALF * Math.min(chart.top.x, chart.top.y),
      () => 1,
      { overhang: 0.45, balanced: true },
    ),
}
