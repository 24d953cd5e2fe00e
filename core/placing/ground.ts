import type { KeepOut, Layout } from '../model/layout.ts'
import { type Chart, type Sample, upright } from '../surfaces/chart.ts'
import { letter } from '../words/letter.ts'
import type { Area, Where } from './area.ts'

/** Samples of a ground are so close, in the radius of the smallest flower, but no closer and no more of them than this. */
const STEP = 0.45
const LEAST_STEP_MM = 1.5
const MOST_SAMPLES = 2600
/** Gaps between cupcakes are looked at so closely, mm. */
const GAP_STEP_MM = 3

/** A point of the ground. */
export interface GroundSample extends Sample {
  /** How far inside the ground it is, mm. */
  inside: number
  want: number
}

/** The ground that a layout fills: the school's area less what is kept free, and the points that stand for it. */
export interface Ground {
  area: Area
  samples: readonly GroundSample[]
  mm2: number
  /** How far outside everything that is kept free a place is, mm; negative inside. */
  clear(at: Where): number
  /** Points of the gaps between things that stand side by side, which only leaves reach. */
  gaps: readonly GroundSample[]
}

/** A school's area on a piece, sampled. */
export function groundOf(chart: Chart, area: Area, keepOuts: readonly KeepOut[], smallestMm: number): Ground {
  const clear = clearOf(chart, keepOuts)
  const free = keepOuts.length === 0 ? area : { ...area, insideMm: insideOf(area, clear) }
  const take = (stepMm: number) =>
    chart.samples(stepMm).flatMap((s): GroundSample[] => {
      const inside = free.insideMm(s, s.spot)
      return inside > 0 ? [Object.assign(s, { inside, want: free.want(s) })] : []
    })
  const stepMm = Math.max(LEAST_STEP_MM, STEP * smallestMm)
  // a rough look first: how fine may it be?
  const rough = take(3 * stepMm).reduce((sum, s) => sum + s.mm2, 0)
  const samples = take(Math.max(stepMm, Math.sqrt(rough / MOST_SAMPLES)))
  const gaps = chart.between(GAP_STEP_MM).map((s): GroundSample => ({ ...s, want: 0 }))
  return { area: free, clear, samples, gaps, mm2: samples.reduce((sum, s) => sum + s.mm2, 0) }
}

/** Room left around words, mm. */
const AROUND_WORDS_MM = 3

/** All that flowers keep off: what a person keeps free, and words, as large as they are written. */
export function keptFree({ keepOuts, words }: Pick<Layout, 'keepOuts' | 'words'>): KeepOut[] {
  return [
    ...keepOuts,
    ...words.map((w): KeepOut => {
      const { widthMm, heightMm } = letter(w, 0)
      return {
        ...{
          id: w.id,
          kind: 'text',
          place: w.place,
          turnDeg: w.turnDeg,
          label: `“${w.text.replaceAll('\n', ' ')}”`,
        },
        widthMm: widthMm + 2 * AROUND_WORDS_MM,
        heightMm: heightMm + 2 * AROUND_WORDS_MM,
      }
    }),
  ]
}

/** How far outside everything that is kept free a place is, mm; negative inside. */
export function clearOf(chart: Chart, keepOuts: readonly KeepOut[]): (at: Where) => number {
  const parts = keepOuts.map(({ place, widthMm, heightMm, turnDeg }) => {
    const p = chart.point(chart.read(place))
    const way = upright(p)
    const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)]
    // turned against the clock: its right goes up
    const rx = c * way.rx - s * way.dx
    const ry = c * way.ry - s * way.dy
    const rz = c * way.rz - s * way.dz
    const ux = s * way.rx + c * way.dx
    const uy = s * way.ry + c * way.dy
    const uz = s * way.rz + c * way.dz
    return { p, rx, ry, rz, ux, uy, uz, w: widthMm / 2, h: heightMm / 2 }
  })
  return ({ x, y, z }) => {
    let clear = Number.POSITIVE_INFINITY
    for (const { p, rx, ry, rz, ux, uy, uz, w, h } of parts) {
      const [dx, dy, dz] = [x - p.x, y - p.y, z - p.z]
      const across = Math.abs(dx * rx + dy * ry + dz * rz) - w
      const down = Math.abs(dx * ux + dy * uy + dz * uz) - h
      const through = Math.abs(dx * p.nx + dy * p.ny + dz * p.nz) - Math.max(w, h)
      const [a, d, t] = [Math.max(0, across), Math.max(0, down), Math.max(0, through)]
      const outside = Math.hypot(a, d, t)
      clear = Math.min(clear, outside > 0 ? outside : Math.max(across, down, through))
    }
    return clear
  }
}

const insideOf =
  (area: Area, clear: (at: Where) => number): Area['insideMm'] =>
  (at, spot) =>
    Math.min(area.insideMm(at, spot), clear(at))
