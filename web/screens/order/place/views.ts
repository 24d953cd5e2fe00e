import type { Chart, Point, Spot } from '#core/surfaces/chart'
import { poseFromAbove } from '../../../drawings/poseFromAbove.ts'

/** A picture of a piece's surface: where a place comes to lie in it, and which place lies under a point of it; px. */
export interface View {
  widthPx: number
  heightPx: number
  pxPerMm: number
  toPx(spot: Spot, at?: Point): { x: number; y: number }
  toSpot(x: number, y: number, from: Spot): Spot
  /** How a thing that points outward lies in the picture: degrees against the clock from the right, and how much it is foreshortened. */
  pose(at: Point): { deg: number; squeeze: number }
  /** Whether a place is in the picture at all. */
  shows(spot: Spot): boolean
  /** A line on the surface as lines in the picture: cut where the picture is, or where it is not shown as it is. */
  trace(points: readonly Point[]): { x: number; y: number }[][]
  /** Where a point of the picture lies on the plane, mm; nothing where the picture is no plane. */
  toPlane: ((x: number, y: number) => { x: number; y: number }) | null
  /** How far down the picture a band that begins or ends so far down the surface does; 0 where nothing is laid flat. */
  downPx(mm: number): number
}

const DEGREES = 180 / Math.PI
const ROOM = 1.1

/** Where a point in space comes to lie in a picture from above. */
export const fromAbove = (
  { widthPx, heightPx, pxPerMm }: Pick<View, 'widthPx' | 'heightPx' | 'pxPerMm'>,
  { x, y }: { x: number; y: number },
) => ({ x: widthPx / 2 + x * pxPerMm, y: heightPx / 2 - y * pxPerMm })

/** From straight above. */
export function viewFromAbove(chart: Chart, widthPx: number, heightPx: number): View {
  const { x: halfX, y: halfY } = extent(chart)
  const pxPerMm = Math.min(widthPx / (2 * halfX * ROOM), heightPx / (2 * halfY * ROOM))
  return {
    ...{ widthPx, heightPx, pxPerMm },
    toPx(spot, at = chart.point(spot)) {
      return fromAbove({ widthPx, heightPx, pxPerMm }, at)
    },
    toSpot(px, py, from) {
      const [x, y] = [(px - widthPx / 2) / pxPerMm, (heightPx / 2 - py) / pxPerMm]
      // what hangs on a side goes round with its own side; everything else goes over what is seen from above
      const { zone, tier } = chart.zoneOf(from)
      if (zone !== 'side') return chart.under(x, y)
      const at = chart.point(from)
      const spot = chart.nearest(x, y, at.z)
      const there = chart.zoneOf(spot)
      if (there.zone === zone && there.tier === tier) return spot
      // so far out that another tier is nearer: as far out as it was
      const inward = Math.hypot(at.x, at.y) / Math.max(1e-6, Math.hypot(x, y))
      return chart.nearest(x * inward, y * inward, at.z)
    },
    pose(at) {
      const { angle, squeeze } = poseFromAbove(at)
      return { deg: angle * DEGREES, squeeze }
    },
    shows: () => true,
    downPx: () => 0,
    toPlane: (px, py) => ({ x: (px - widthPx / 2) / pxPerMm, y: (heightPx / 2 - py) / pxPerMm }),
    trace: (points) => [points.map((p) => fromAbove({ widthPx, heightPx, pxPerMm }, p))],
  }
}

function extent(chart: Chart): { x: number; y: number } {
  const feet = chart.courses.filter((c) => c.id === 'foot')
  const points = [
    ...chart.above.flat(),
    ...feet.flatMap((foot) => Array.from({ length: 48 }, (_, i) => foot.at((foot.lengthMm * i) / 48))),
  ]
  return {
    x: Math.max(...points.map((p) => Math.abs(p.x))),
    y: Math.max(...points.map((p) => Math.abs(p.y))),
  }
}

/** Below so many mm of the topmost top nothing is cut off an unrolled picture: the rest is seen from above. */
const TOP_SHOWN_MM = 46

/**
 * The sides laid flat, as if the piece had been rolled along a table, its front or whatever is looked at in the middle.
 * @param looking from which side, radians from the front to the right.
 */
export function viewUnrolled(chart: Chart, widthPx: number, heightPx: number, looking: number): View {
  const last = chart.bands.at(-1)!
  const top = chart.bands[0]!
  const fromMm = Math.max(top.fromMm, top.toMm - TOP_SHOWN_MM)
  const pxPerMm = heightPx / (last.toMm - fromMm)
  const middleMm = (looking * chart.roundMm) / (2 * Math.PI)
  const turned = (mm: number) => mm - chart.roundMm * Math.round(mm / chart.roundMm)
  const toPx = (spot: Spot) => {
    const { x, y } = chart.unroll(spot)
    return { x: widthPx / 2 + turned(x - middleMm) * pxPerMm, y: (y - fromMm) * pxPerMm }
  }
  return {
    ...{ widthPx, heightPx, pxPerMm },
    toPx,
    toPlane: null,
    downPx: (mm) => (mm - fromMm) * pxPerMm,
    trace(points) {
      const runs: { x: number; y: number }[][] = []
      let open: { x: number; y: number }[] | null = null
      for (const p of points) {
        const spot = chart.nearest(p.x, p.y, p.z)
        // a top is bent out of all likeness here: what lies on it is read from above
        const at = chart.zoneOf(spot).zone === 'side' ? toPx(spot) : null
        const last: { x: number; y: number } | undefined = open?.at(-1)
        if (at && last && Math.abs(at.x - last.x) < (chart.roundMm * pxPerMm) / 2) open!.push(at)
        else if (at) {
          open = [at]
          runs.push(open)
        } else open = null
      }
      return runs
    },
    toSpot: (px, py) => chart.rollUp((px - widthPx / 2) / pxPerMm + middleMm, py / pxPerMm + fromMm),
    pose: () => ({ deg: -90, squeeze: 1 }),
    shows(spot) {
      const { y } = chart.unroll(spot)
      return y >= fromMm - TOP_SHOWN_MM / 2
    },
  }
}
