import { pathArea, wholeArea } from '../area.ts'
import { always, type School } from './school.ts'

/** Half its width, in the largest radius: one large flower and what leans on it. */
const HALF = 1.35

/** Along a line that was drawn by hand. */
export const path: School = {
  id: 'path',
  label: 'Line by hand',
  hint: 'along a line that you draw',
  suits: always,
  fullness: 0.85,
  area: ({ chart, path: drawn, largestMm }) =>
    drawn.length < 2
      ? wholeArea(chart, (spot) => chart.rimMm(spot))
      : pathArea(
          chart,
          drawn,
          () => HALF * largestMm,
          (t) => 1 - 0.5 * t,
        ),
}
