import { STIFFNESS_LOOK } from './allowed.ts'
import type { Change, Changed } from './change.ts'
import { keyOf, movesFrom } from './moves.ts'
import type { Costs, Scales } from './weigh.ts'

/** What somebody would rather have less of, in minutes: a bag, a tip to look for and wash, all of the look. */
export interface Wish {
  id: 'nearest' | 'quickest' | 'bags' | 'tips'
  bagMinutes: number
  tipMinutes: number
  lookMinutes: number
}

/**
 * The wishes that are tried. A hundredth of the look is worth a minute, or ten where nothing may show; a bag is worth
 * what filling a small one takes on top of what it takes already.
 */
export const WISHES: readonly Wish[] = [
  { id: 'bags', bagMinutes: 5, tipMinutes: 1, lookMinutes: 100 },
  { id: 'quickest', bagMinutes: 1, tipMinutes: 1, lookMinutes: 100 },
  { id: 'tips', bagMinutes: 0, tipMinutes: 4, lookMinutes: 100 },
  { id: 'nearest', bagMinutes: 0, tipMinutes: 1, lookMinutes: 1000 },
]

/** A move that saves less is not worth telling. */
const LEAST_GAIN = 0.2
/** Whole plans weighed for one wish; the demo order needs a third of them. */
const MOST_TRIES = 1500

/** One move: a set of layers changed alike. */
export interface Move {
  changes: Change[]
  saves: Pick<Costs, 'minutes' | 'bags' | 'tips' | 'portions'> & { look: number }
}

/** What a set of changes comes to for somebody, without what it takes from the picture: never more than with it. */
const leastWorth = (wish: Wish, c: Costs): number =>
  c.minutes +
  wish.bagMinutes * c.bags +
  wish.tipMinutes * c.tips +
  wish.lookMinutes * STIFFNESS_LOOK * c.otherStiffness

/** The same with it; endless where the look would be another. */
function worth(scales: Scales, wish: Wish, changed: Changed): number {
  const least = leastWorth(wish, scales.costs(changed))
  if (!Number.isFinite(least)) return least
  const look = scales.look(changed)
  return look === 0 ? Number.POSITIVE_INFINITY : least + wish.lookMinutes * (1 - look)
}

/** What a move was last seen to save, by its key: for every wish, and from wherever it was tried. */
type Seen = Map<string, { costs: Costs; lookLost: number; from: Changed }>

const minus = (a: Costs, b: Costs): Costs => ({
  minutes: a.minutes - b.minutes,
  bags: a.bags - b.bags,
  tips: a.tips - b.tips,
  portions: a.portions - b.portions,
  otherStiffness: a.otherStiffness - b.otherStiffness,
})

/**
 * Fewer bags, tips and bowls by piping layers through openings and at stiffnesses that others of the order use already:
 * steepest descent over moves that end a load through a tip, a tip, or a bowl, then moves that later ones made needless
 * are taken back, as long as either helps. Gains are worked out anew only for moves that still look best. What a person
 * chose stays. A generator: tells how far it is, and may be stopped.
 * @param found what was found for other wishes: the best of them for this one is where it begins.
 * @param seen what moves saved when they were tried for other wishes.
 */
export function* fewer(
  scales: Scales,
  wish: Wish,
  found: readonly (readonly (readonly Change[])[])[] = [],
  seen: Seen = new Map(),
): Generator<number, Move[]> {
  const from = scales.tries()
  const spent = () => scales.tries() - from
  let taken: Change[][] = []
  let least = worth(scales, wish, allOf(taken))
  for (const begun of found) {
    const there = worth(scales, wish, allOf(begun))
    if (there >= least) continue
    least = there
    taken = begun.map((changes) => [...changes])
  }
  for (;;) {
    const next = yield* descend(scales, wish, yield* withoutNeedless(scales, wish, taken, spent), spent, seen)
    const now = worth(scales, wish, allOf(next))
    if (now <= least) taken = next
    if (now >= least - LEAST_GAIN || spent() >= MOST_TRIES) break
    least = now
  }
  taken = yield* withoutNeedless(scales, wish, taken, spent)
  const weighed = (changed: Changed) => ({ ...scales.costs(changed), look: scales.look(changed) })
  let now = weighed(new Map())
  return taken.map((changes, i) => {
    const then = weighed(allOf(taken.slice(0, i + 1)))
    const saves = {
      minutes: now.minutes - then.minutes,
      bags: now.bags - then.bags,
      tips: now.tips - then.tips,
      portions: now.portions - then.portions,
      look: now.look - then.look,
    }
    now = then
    return { changes, saves }
  })
}

function* descend(
  scales: Scales,
  wish: Wish,
  begun: readonly Change[][],
  spent: () => number,
  seen: Seen,
): Generator<number, Change[][]> {
  const taken = [...begun]
  let changed = allOf(taken)
  const listed = () =>
    movesFrom(scales.facts, changed).map((changes) => {
      const key = keyOf(changes)
      const before = seen.get(key)
      const gain = before
        ? leastWorth(wish, before.costs) - wish.lookMinutes * before.lookLost
        : Number.POSITIVE_INFINITY
      return { changes, key, gain }
    })
  for (let moves = listed(); spent() < MOST_TRIES; moves = listed()) {
    let best: { changes: Change[]; gain: number } | null = null
    for (const move of moves.sort((a, b) => b.gain - a.gain)) {
      if (spent() >= MOST_TRIES || move.gain <= (best?.gain ?? LEAST_GAIN - ONCE_NEAR)) break
      if (seen.get(move.key)?.from === changed) continue
      const then = merged(changed, move.changes)
      const costs = minus(scales.costs(changed), scales.costs(then))
      // the picture is worked out only where the rest is good enough
      const most = leastWorth(wish, costs)
      const lookLost: number =
        most > (best?.gain ?? LEAST_GAIN) ? scales.look(changed) - scales.look(then) : 0
      const gain: number = most - wish.lookMinutes * lookLost
      seen.set(move.key, { costs, lookLost, from: changed })
      if (gain > (best?.gain ?? LEAST_GAIN)) best = { changes: move.changes, gain }
      if (spent() % BREATHE === 0) yield Math.min(0.99, spent() / MOST_TRIES)
    }
    if (!best) break
    changed = merged(changed, best.changes)
    taken.push(best.changes)
  }
  return taken
}

/** A move that was short of a gain by no more than this, minutes, may have one by now: most of a bag is that near. */
const ONCE_NEAR = 4

/** Tell how far it is after so many tries. */
const BREATHE = 20

/** The moves without those that cost more than they bring, now that the others are taken. */
function* withoutNeedless(
  scales: Scales,
  wish: Wish,
  taken: readonly Change[][],
  spent: () => number,
): Generator<number, Change[][]> {
  let kept = [...taken]
  for (let i = kept.length - 1; i >= 0; i--) {
    const without = kept.toSpliced(i, 1)
    if (worth(scales, wish, allOf(without)) <= worth(scales, wish, allOf(kept)) + LEAST_GAIN) kept = without
    yield Math.min(0.99, spent() / MOST_TRIES)
  }
  return kept
}

/** All changes of some moves, later ones over earlier ones. */
export function allOf(moves: readonly (readonly Change[])[]): Changed {
  return moves.reduce<Changed>(merged, new Map())
}

function merged(changed: Changed, changes: readonly Change[]): Changed {
  const next = new Map(changed)
  for (const { useId, tipId, stiffness } of changes) {
    const before = next.get(useId)
    next.set(useId, { tipId: tipId ?? before?.tipId, stiffness: stiffness ?? before?.stiffness })
  }
  return next
}
