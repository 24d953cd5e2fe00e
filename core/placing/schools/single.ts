import type { Chart, Spot } from '../../surfaces/chart.ts'
import { wholeArea } from '../area.ts'
import { hasMiddle, onTop, type School } from './school.ts'

/** One large flower in the middle, with whatever else there is around it. */
export const single: School = {
  id: 'single',
  label: 'One in the middle',
  hint: 'the largest over the dome, or one to a cupcake, the rest around it',
  suits: hasMiddle,
  fullness: 0.9,
  area: ({ chart }) =>
    wholeArea(chart, (spot) => chart.rimMm(spot), {
      overhang: 0.35,
      starts: chart.parts.length === 1 ? [onTop(chart, 0, 0)] : farApart(chart),
      held: chart.parts.length,
    }),
}

/** The middles of things that stand side by side, each as far from those before it as can be: large ones come to stand apart. */
function farApart(chart: Chart): Spot[] {
  const left = [...chart.parts]
  const order = left.splice(nearestTo(left), 1)
  while (left.length > 0) {
    const off = left.map((p) => Math.min(...order.map((q) => Math.hypot(p.x - q.x, p.y - q.y))))
    order.push(...left.splice(off.indexOf(Math.max(...off)), 1))
  }
  return order.map(({ x, y }) => chart.under(x, y))
}

/** Which of them is nearest to the middle of all. */
function nearestTo(parts: readonly { x: number; y: number }[]): number {
  const off = parts.map(({ x, y }) => Math.hypot(x, y))
  return off.indexOf(Math.min(...off))
}
