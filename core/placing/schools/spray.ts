import { pathArea } from '../area.ts'
import { always, onTop, type School, steps } from './school.ts'

/** It begins at the rim and runs past the middle to this share of the way across. */
const FROM = 0.86
const TO = -0.38
const WIDE = 0.34
const THIN = 0.1

/** A spray that grows in from a corner and thins out. */
export const spray: School = {
  id: 'spray',
  label: 'Corner spray',
  hint: 'from one edge inward, large to small',
  suits: always,
  fullness: 0.85,
  area: ({ chart, turn }) => {
    const half = Math.min(chart.top.x, chart.top.y)
    return pathArea(
      chart,
      steps(FROM, TO, 25).map((share) => onTop(chart, share, turn + Math.PI * 0.78)),
      (t) => half * (THIN + (WIDE - THIN) * Math.sin(Math.PI * Math.min(1, 0.3 + 0.7 * t)) ** 0.8),
      (t) => 1 - 0.65 * t,
    )
  },
}
