import type { Point } from './attempt.ts'
import { type DrillStroke, type Key, lengthOf } from './drill.ts'
import { USUAL_SQUEEZE } from './flow.ts'

/** The icing is awaited for so long before the hand goes, s. */
const COMES_S = 0.1
/** A rope is let go of so long before its end, s, for the bag goes on giving. */
const LET_GO_BEFORE_S = 0.17
/** A hand stops squeezing within this, s. */
const LETS_GO_S = 0.05
/** After letting go a tip stays on the spot until nothing comes any more, s. */
const RESTS_S = 0.22

/** A rope: touch, go at one pace, stop squeezing before the end, go on to it. */
export function rope(path: readonly Point[], mmPerS: number): DrillStroke {
  const seconds = Math.max(2 * LET_GO_BEFORE_S, lengthOf(path) / mmPerS)
  const share = (t: number) => t / seconds
  const stop = seconds - LET_GO_BEFORE_S
  return {
    path,
    keys: [
      { t: 0, at: 0, squeeze: 0 },
      { t: COMES_S, at: 0, squeeze: USUAL_SQUEEZE },
      { t: COMES_S + stop, at: share(stop), squeeze: USUAL_SQUEEZE },
      { t: COMES_S + stop + LETS_GO_S, at: share(stop + LETS_GO_S), squeeze: 0 },
      { t: COMES_S + seconds, at: 1, squeeze: 0 },
    ],
  }
}

/** On the spot: squeeze for so long, let go, wait, lift. */
export const spot = (at: Point, holdS: number): DrillStroke => ({
  path: [at],
  keys: still([
    [0, 0],
    [LETS_GO_S, USUAL_SQUEEZE],
    [holdS, USUAL_SQUEEZE],
    [holdS + LETS_GO_S, 0],
    [holdS + LETS_GO_S + RESTS_S, 0],
  ]),
})

const still = (keys: readonly (readonly [t: number, squeeze: number])[]): Key[] =>
  keys.map(([t, squeeze]) => ({ t, at: 0, squeeze }))

/** How a pull is gone: squeezed on the spot for so long, and let go by this share of the way. */
export interface Pull {
  swellS: number
  mmPerS: number
  letGo: number
  squeeze: number
}

/** Swell on the spot, ease off while pulling, let go, and draw on without squeezing. */
export function pull(path: readonly Point[], { swellS, mmPerS, letGo, squeeze }: Pull): DrillStroke {
  const seconds = lengthOf(path) / mmPerS
  return {
    path,
    keys: [
      { t: 0, at: 0, squeeze: 0 },
      { t: LETS_GO_S, at: 0, squeeze },
      { t: swellS, at: 0, squeeze },
      { t: swellS + letGo * seconds, at: letGo, squeeze: 0 },
      { t: swellS + seconds, at: 1, squeeze: 0 },
    ],
  }
}
