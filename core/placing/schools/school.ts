import type { Chart, Spot } from '../../surfaces/chart.ts'
import type { Area } from '../area.ts'

/** What a school is told of the piece and the wish. */
export interface Wish {
  chart: Chart
  /** Turned about the middle, against the clock, radians. */
  turn: number
  /** Half the width of the largest flower, mm. */
  largestMm: number
  /** A line drawn by hand; empty for none. */
  path: readonly Spot[]
}

/** A way of placing flowers: which ground they fill, how much of it, and where the large ones go. */
export interface School {
  id: string
  label: string
  /** What it is for, in a few words. */
  hint: string
  /** Whether it can be done on this piece. */
  suits(chart: Chart): boolean
  area(wish: Wish): Area
  /** How much of its ground it fills when nobody says otherwise. */
  fullness: number
}

/** A place on the top: so much of its half width and depth out from the middle, at an angle. */
export function onTop(chart: Chart, share: number, angle: number): Spot {
  const { x, y } = chart.top
  return chart.nearest(share * x * Math.cos(angle), share * y * Math.sin(angle), chart.highMm + 1)
}

export const hasSide = (chart: Chart): boolean => chart.bands.some((b) => b.zone === 'side')
/** Whether something can stand in the middle of its top, or of each of its parts. */
export const hasMiddle = (chart: Chart): boolean =>
  chart.parts.length > 1 || chart.rimMm(chart.under(0, 0)) > LEAST_MIDDLE_MM

/** Nearer to a rim than this is no middle. */
const LEAST_MIDDLE_MM = 6

export const always = (): boolean => true

/** Even steps from one number to another, both ends in. */
export const steps = (from: number, to: number, count: number): number[] =>
  Array.from({ length: count }, (_, i) => from + ((to - from) * i) / (count - 1))
