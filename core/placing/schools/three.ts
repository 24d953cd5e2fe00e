import { wholeArea } from '../area.ts'
import { hasMiddle, onTop, type School, steps } from './school.ts'

/** Three of about the largest touch when their middles are so far from where they meet, in their radius. */
const MEETING = 2 / Math.sqrt(3)
/** The cluster reaches so far beyond the three, in the largest radius. */
const AROUND = 1.5

/** Three large ones that meet in the middle, small ones in the corners between them. */
export const three: School = {
  id: 'three',
  label: 'Cluster of three',
  hint: 'three large ones that meet, small ones between',
  suits: hasMiddle,
  fullness: 0.85,
  area: ({ chart, turn, largestMm }) => {
    const out = largestMm * MEETING
    const middle = chart.point(onTop(chart, 0, 0))
    const least = Math.min(chart.top.x, chart.top.y)
    return wholeArea(
      chart,
      (spot, at) =>
        Math.min(
          chart.rimMm(spot),
          out + AROUND * largestMm - Math.hypot(at.x - middle.x, at.y - middle.y, at.z - middle.z),
        ),
      {
        overhang: 0.35,
        starts: steps(0, 2, 3).map((k) =>
          onTop(chart, Math.min(0.7, out / least), turn + 1.9 + (k * 2 * Math.PI) / 3),
        ),
      },
    )
  },
}
