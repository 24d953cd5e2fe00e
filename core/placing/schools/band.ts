import { pathArea } from '../area.ts'
import { hasSide, type School, steps } from './school.ts'

/** It lies so far up the lowest side, and is so wide to either side, in the height of that side. */
const UP = 0.42
const HALF = 0.27

/** A band around the side of the lowest tier. */
export const band: School = {
  id: 'band',
  label: 'Side band',
  hint: 'around the side of the lowest tier',
  suits: hasSide,
  fullness: 0.8,
  area: ({ chart, turn }) => {
    const side = chart.bands.findLast((b) => b.zone === 'side')!
    const high = side.toMm - side.fromMm
    return pathArea(
      chart,
      steps(0, 1, 97).map((t) =>
        chart.rollUp((t - 0.5 + turn / (2 * Math.PI)) * chart.roundMm, side.toMm - UP * high),
      ),
      () => HALF * high,
      () => 1,
      { overhang: 0.4 },
    )
  },
}
