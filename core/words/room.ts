import type { Chart, Place } from '../surfaces/chart.ts'

/** On a side words go no further round than can be read from one place, as a share of once round; and keep off its edges, mm. */
const READ_ROUND = 0.3
const OFF_EDGE_MM = 6

/** How wide and high words may be where they are: on the side of a tier its height, on a top what there is of it to either side. */
export function roomFor(chart: Chart, place: Place): { widthMm: number; heightMm: number } {
  const spot = chart.read(place)
  const { zone, tier } = chart.zoneOf(spot)
  const band = chart.bands.find((b) => b.zone === zone && b.tier === tier)
  if (zone === 'side' && band) {
    const round = chart.courses.find((c) => c.tier === tier && c.id === 'foot')?.lengthMm ?? chart.roundMm
    const { y } = chart.unroll(spot)
    const half = Math.min(y - band.fromMm, band.toMm - y) - OFF_EDGE_MM
    return { widthMm: READ_ROUND * round, heightMm: Math.max(0, 2 * half) }
  }
  const { x, y } = chart.point(spot)
  const across = Math.min(reachMm(chart, x, y, 1, 0), reachMm(chart, x, y, -1, 0)) - OFF_EDGE_MM
  const deep = Math.min(reachMm(chart, x, y, 0, 1), reachMm(chart, x, y, 0, -1)) - OFF_EDGE_MM
  return { widthMm: Math.max(0, 2 * across), heightMm: Math.max(0, 2 * deep) }
}

const HALVINGS = 30
const NOTHING_MM = 0.01

/** How far a top goes on in a direction, seen from above, mm. */
function reachMm(chart: Chart, x: number, y: number, dx: number, dy: number): number {
  const from = chart.zoneOf(chart.under(x, y))
  const goesOn = (mm: number): boolean => {
    const spot = chart.under(x + mm * dx, y + mm * dy)
    const at = chart.point(spot)
    const { zone, tier } = chart.zoneOf(spot)
    // beside the piece what is seen is its edge, not what was asked for
    const there = Math.hypot(at.x - x - mm * dx, at.y - y - mm * dy) < NOTHING_MM
    return there && zone === from.zone && tier === from.tier
  }
  let [low, high] = [0, 2 * chart.reachMm]
  for (let i = 0; i < HALVINGS; i++) {
    const mm = (low + high) / 2
    if (goesOn(mm)) low = mm
    else high = mm
  }
  return low
}
