import type { Words } from '#core/model/layout'
import type { Chart } from '#core/surfaces/chart'

/** On a side words go no further round than can be read from one place, as a share of once round; and keep off its edges, mm. */
const READ_ROUND = 0.3
const OFF_EDGE_MM = 6

/** How wide and high words may be where they are: on the side of a tier its height, on a top what is inside its rim. */
export function roomFor(
  chart: Chart,
  { place }: Pick<Words, 'place'>,
): { widthMm: number; heightMm: number } {
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
  const [halfX, halfY] = [chart.top.x - OFF_EDGE_MM, chart.top.y - OFF_EDGE_MM]
  // of a round top, what is left beside and above the middle of the words
  const isRound = Math.abs(chart.top.x - chart.top.y) < 1e-6 && chart.roundMm < 6.5 * chart.top.x
  const wide = isRound ? Math.sqrt(Math.max(0, halfX ** 2 - y ** 2)) - Math.abs(x) : halfX - Math.abs(x)
  return { widthMm: Math.max(0, 2 * wide), heightMm: Math.max(0, 2 * (halfY - Math.abs(y))) }
}
