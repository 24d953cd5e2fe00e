import type { Use } from '../../model/plan.ts'
import { loadKey } from '../keys.ts'
import type { Change, Changed } from './change.ts'
import type { LayerFacts } from './weigh.ts'

/** Every move from here: a load's or everybody's tip to one in use, a load's stiffness to another of its colours, both. */
export function movesFrom(facts: readonly LayerFacts[], changed: Changed): Change[][] {
  const present = facts.map((f) => {
    const change = changed.get(f.use.id)
    const use = {
      ...f.use,
      tipId: change?.tipId ?? f.use.tipId,
      stiffness: change?.stiffness ?? f.use.stiffness,
    }
    return {
      ...f,
      now: use,
      load: loadKey(use),
      colours: `${use.icingKindId} ${use.parts.map((p) => p.colourId).join('+')}`,
    }
  })
  const mayTip = (f: LayerFacts, tipId: string) => tipId === f.use.tipId || f.tips.has(tipId)
  const mayBe = (f: LayerFacts, stiffness: string) =>
    stiffness === f.use.stiffness || f.stiffness.has(stiffness)
  const tips = [...new Set(present.map((f) => f.now.tipId!))]
  const moves: Change[][] = []
  const add = (of: typeof present, tipId: string | undefined, stiffness: Use['stiffness'] | undefined) => {
    if (of.length === 0) return
    if (tipId !== undefined && !of.every((f) => mayTip(f, tipId))) return
    if (stiffness !== undefined && !of.every((f) => mayBe(f, stiffness))) return
    moves.push(of.map((f) => ({ useId: f.use.id, tipId, stiffness })))
  }
  for (const from of tips)
    for (const to of tips)
      if (from !== to) {
        add(
          present.filter((f) => f.now.tipId === from && mayTip(f, to)),
          to,
          undefined,
        )
      }
  const pairs = new Map(present.map((f) => [`${f.load}|${f.now.tipId}`, f]))
  for (const pair of pairs.values()) {
    const own = present.filter((f) => f.load === pair.load && f.now.tipId === pair.now.tipId)
    for (const to of tips) if (to !== pair.now.tipId) add(own, to, undefined)
    for (const other of pairs.values()) {
      if (other.colours !== pair.colours || other.now.stiffness === pair.now.stiffness) continue
      const whole = present.filter((f) => f.load === pair.load)
      // two that cannot become each other may meet halfway
      add(
        present.filter((f) => f.load === pair.load || f.load === other.load),
        undefined,
        'medium',
      )
      add(whole, undefined, other.now.stiffness)
      add(own, undefined, other.now.stiffness)
      add(own, other.now.tipId!, other.now.stiffness)
    }
  }
  const seen = new Set<string>()
  return moves.filter((m) => {
    const key = keyOf(m)
    return !seen.has(key) && seen.add(key)
  })
}

export const keyOf = (changes: readonly Change[]): string => JSON.stringify(changes)
