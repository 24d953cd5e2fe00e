import type { Show } from './show.ts'
import type { Phase } from './timing.ts'

/** A moment at which a hand changes what it does. */
export interface Stop {
  stroke: number
  phase: Phase
  second: number
}

/** What is stepped to in a stroke; the way to it is not. */
export const steppedTo = ['touch', 'swell', 'over', 'stop', 'away'] as const

/** The seconds from the first to the last stroke of a layer; of the whole show where there is none. */
export function spanOf(show: Show, layer: number | null): [from: number, to: number] {
  const own = layer === null ? show.strokes : show.strokes.filter((s) => s.layer === layer)
  const [first, last] = [own[0], own.at(-1)]
  return first && last
    ? [first.begins + first.timing.begins.touch, last.begins + last.timing.seconds]
    : [0, show.seconds]
}

/** The stops within a span of seconds, in order. */
export const stopsOf = (show: Show, [from, to]: readonly [number, number]): Stop[] =>
  show.strokes.flatMap(({ begins, timing }, stroke) =>
    steppedTo.flatMap((phase) => {
      const second = begins + timing.begins[phase]
      return second >= from && second <= to ? [{ stroke, phase, second }] : []
    }),
  )

/** Two moments nearer than this are one, s. */
const SAME_S = 1e-3

/** The stop before or after a second; null where there is none. */
export function stopNear(stops: readonly Stop[], second: number, after: boolean): Stop | null {
  const found = after
    ? stops.find((s) => s.second > second + SAME_S)
    : stops.findLast((s) => s.second < second - SAME_S)
  return found ?? null
}
