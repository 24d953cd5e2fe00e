import { wholeArea } from '../area.ts'
import { always, onTop, type School } from './school.ts'

/** One large flower in the middle, with whatever else there is around it. */
export const single: School = {
  id: 'single',
  label: 'One in the middle',
  hint: 'the largest over the dome, the rest around it',
  suits: always,
  fullness: 0.9,
  area: ({ chart }) =>
    wholeArea(chart, (spot) => chart.rimMm(spot), {
      overhang: 0.35,
      starts: [onTop(chart, 0, 0)],
      holdsFirst: true,
    }),
}
