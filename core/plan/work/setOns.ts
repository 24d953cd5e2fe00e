import type { Plan } from '../../model/plan.ts'
import type { WorkStep } from './steps.ts'

/**
 * The order of work with what is put on: what wants wet icing as soon as its piece is coated, or where it is not coated before
 * anything else; the rest when everything is piped.
 */
export function withSetOns(sequence: readonly WorkStep[], things: Plan['setOns']): WorkStep[] {
  const steps = [...sequence]
  const of = (when: 'wet' | 'last') => {
    const byPiece = new Map<string, string[]>()
    for (const s of things.filter((t) => t.when === when))
      byPiece.set(s.pieceId, [...(byPiece.get(s.pieceId) ?? []), s.placedId])
    return [...byPiece].map(
      ([pieceId, setOnIds]): WorkStep => ({
        ...{ kind: 'setOn', pieceIds: [pieceId], useIds: [], bagNumbers: [], repeats: 1, colourId: null },
        setOnIds,
      }),
    )
  }
  for (const step of of('wet')) {
    const spread = steps.findLastIndex((s) => s.kind === 'spread' && s.pieceIds[0] === step.pieceIds[0])
    steps.splice(spread + 1, 0, step)
  }
  return [...steps, ...of('last')]
}
