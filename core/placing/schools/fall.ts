import { pathArea } from '../area.ts'
import { hasSide, type School, steps } from './school.ts'

/** It begins so far from the middle of the top and ends so far above the foot, mm. */
const FROM_MM = 22
const TO_MM = 30
/** On its way down it goes so far round, radians: to the right as it is looked at. */
const ROUND = 1.15
/** To the left of the front where it begins, radians. */
const BEGINS = -0.55
/** Half its width, mm: widest before the middle, thinner at its foot. Wider cakes take wider falls. */
const NARROW_MM = 22
const SWELL_MM = 26
const TAPER_MM = 10
const FOR_REACH_MM = 110
/** Where the largest belong, on its way. */
const LARGEST_AT = 0.18

/** From the top down over edges and sides to the foot, going round as it falls, large to small. */
export const fall: School = {
  id: 'fall',
  label: 'Diagonal fall',
  hint: 'from the top over edges and sides to the foot',
  suits: hasSide,
  fullness: 0.85,
  area: ({ chart, turn }) => {
    const end = chart.bands.at(-1)!.toMm - TO_MM
    const begin = chart.bands[0]!.fromMm + FROM_MM
    const scale = Math.sqrt(chart.reachMm / FOR_REACH_MM)
    return pathArea(
      chart,
      steps(0, 1, 61).map((t) =>
        chart.rollUp(
          ((BEGINS + t * ROUND + turn) * chart.roundMm) / (2 * Math.PI),
          begin + t * (end - begin),
        ),
      ),
      (t) => scale * (NARROW_MM + SWELL_MM * Math.sin(Math.PI * (0.25 + 0.75 * t)) - TAPER_MM * t),
      (t) => 1 - (0.62 * Math.abs(t - LARGEST_AT)) / (1 - LARGEST_AT),
      { overhang: 0.5 },
    )
  },
}
