import { movesFrom } from '../plan/fewer/moves.ts'
import { scalesFor } from '../plan/fewer/weigh.ts'
import type { LighterMove } from './move.ts'
import type { Scales } from './weigh.ts'

/** Openings and stiffnesses that could be done without, everywhere in the order or in one load, by what others use already. */
export function tipMoves({ order, workshop }: Scales): LighterMove[] {
  const separate = { ...order, arrangement: null, mixing: { school: 'separate' as const } }
  const { facts } = scalesFor(separate, workshop)
  return movesFrom(facts, new Map()).map((changes) => ({
    // two ways to do one layer otherwise exclude each other; the first layer stands for all
    slot: `tips ${changes.map((c) => c.useId).join(' ')}`,
    pieceId: null,
    changes: [{ kind: 'tips', changes }],
  }))
}
