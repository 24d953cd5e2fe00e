import { wholeArea } from '../area.ts'
import { always, type School } from './school.ts'

/** Scattered flowers stand at least so far from each other, mm. */
const GAP_MM = 11

/** Loose, over all there is. */
export const scatter: School = {
  id: 'scatter',
  label: 'Scatter',
  hint: 'loose, with coat between',
  suits: always,
  fullness: 0.34,
  area: ({ chart }) =>
    wholeArea(chart, () => Number.POSITIVE_INFINITY, { overhang: 0.1, gapMm: GAP_MM, balanced: true }),
}
