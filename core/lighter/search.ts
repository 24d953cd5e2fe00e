import type { Scales, Taken, Weighed } from './weigh.ts'

/** Moves that are taken together, and what they come to. */
export interface Version extends Weighed {
  taken: Taken
}

/** What is to become less. */
export type Wish = 'minutes' | 'piping'

/** A loss of look so small costs nothing: moves that nobody would see come first, by what they save. */
const FREE_LOOK = 0.004
/** A move that saves less is not worth telling, min. */
const LEAST_GAIN = 0.3
/** Nobody wants less of the look than this. */
const LEAST_LOOK = 0.62
/** What was worth little before may be worth so much more by now; what is further behind is not looked at again. */
const REGAINED = 1.25

const withMove = ({ moves }: Scales, taken: Taken, move: number): number[] =>
  [...taken.filter((m) => moves[m]!.slot !== moves[move]!.slot), move].sort((a, b) => a - b)

/** Colours may not go round: what another became may not itself become another. */
function mayJoin({ moves }: Scales, taken: Taken, move: number): boolean {
  const [change] = moves[move]!.changes
  if (change?.kind !== 'colour') return !taken.includes(move)
  return !taken.some((m) =>
    moves[m]!.changes.some(
      (c) =>
        c.kind === 'colour' &&
        (c.intoId === change.fromId || c.fromId === change.intoId || c.fromId === change.fromId),
    ),
  )
}

/** What a move saves for the look that it costs. */
function worthOf(now: Weighed, then: Weighed, wish: Wish): number {
  const gain = now[wish] - then[wish]
  if (gain < LEAST_GAIN || then.look < LEAST_LOOK) return 0
  return gain / (Math.max(0, Math.log(now.look) - Math.log(then.look)) + FREE_LOOK)
}

/**
 * Versions from the order as it is to the lightest: always the move that saves most for the look that it costs. What each is worth
 * is worked out anew only while it may still be the best.
 */
export function* lighten(scales: Scales, wish: Wish): Generator<number, Version[]> {
  let now: Version = { ...scales.weigh([]), taken: [] }
  const path = [now]
  const around = scales.around([])
  const worth = scales.moves.map((_, m) => worthOf(now, around([m], m), wish))
  for (;;) {
    const look = scales.around(now.taken)
    const order = worth.map((_, m) => m).sort((a, b) => worth[b]! - worth[a]!)
    let best: Version | null = null
    let most = 0
    for (const m of order) {
      if (worth[m]! * REGAINED <= most || worth[m] === 0) break
      if (!mayJoin(scales, now.taken, m)) continue
      const taken = withMove(scales, now.taken, m)
      const then = look(taken, m)
      worth[m] = worthOf(now, then, wish)
      if (worth[m] <= most) continue
      most = worth[m]
      best = { ...then, taken }
    }
    if (!best) return path
    now = best
    path.push(now)
    yield Math.min(0.99, (1 - now.look) / (1 - LEAST_LOOK))
  }
}
