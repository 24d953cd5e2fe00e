import { wholeArea } from '../area.ts'
import { always, type School } from './school.ts'

/** The whole top, close. */
export const dome: School = {
  id: 'dome',
  label: 'Full top',
  hint: 'flowers over all of the top, close together',
  suits: always,
  fullness: 0.95,
  area: ({ chart }) => wholeArea(chart, (spot) => chart.rimMm(spot), { overhang: 0.35 }),
}
