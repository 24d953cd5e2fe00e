import type { Use } from '../../model/plan.ts'
import { onNail, STAGES, stageOf } from './stages.ts'

/**
 * What is done of an order and what may be done next: a layer stands on the one before it in its flower, and what is
 * piped on a piece on everything of an earlier stage there.
 */
export class Progress {
  readonly #before = new Map<Use, Use>()
  readonly #open = new Map<string, Int32Array>()
  readonly #done = new Set<Use>()

  /** @param uses of a whole order, the layers of a flower in the order of its recipe. */
  constructor(uses: readonly Use[]) {
    const last = new Map<string, Use>()
    for (const use of uses) {
      if (use.placedId !== null) {
        const flower = `${use.pieceId}.${use.placedId}`
        const before = last.get(flower)
        if (before) this.#before.set(use, before)
        last.set(flower, use)
      }
      const open = this.#open.get(use.pieceId) ?? new Int32Array(STAGES)
      this.#open.set(use.pieceId, open)
      open[stageOf(use)]! += 1
    }
  }

  mayBegin(use: Use): boolean {
    const before = this.#before.get(use)
    if (before && !this.#done.has(before)) return false
    if (onNail(use)) return true
    const open = this.#open.get(use.pieceId)!
    const own = stageOf(use)
    for (let stage = 0; stage < own; stage++) if (open[stage]! > 0) return false
    return true
  }

  finish(use: Use): void {
    this.#done.add(use)
    this.#open.get(use.pieceId)![stageOf(use)]! -= 1
  }
}

/**
 * The colours that must have been mixed before a use can be done: its own, and those of all that it stands on.
 * @param maskOf a use's own colours, a bit each.
 */
export function coloursNeeded(uses: readonly Use[], maskOf: (use: Use) => number): Map<Use, number> {
  const needed = new Map<Use, number>()
  const onPiece = new Map<string, Int32Array>()
  for (const use of uses) {
    const masks = onPiece.get(use.pieceId) ?? new Int32Array(STAGES)
    onPiece.set(use.pieceId, masks)
    masks[stageOf(use)]! |= maskOf(use)
  }
  const last = new Map<string, number>()
  for (const use of uses) {
    const flower = `${use.pieceId}.${use.placedId}`
    let mask = maskOf(use) | (use.placedId === null ? 0 : (last.get(flower) ?? 0))
    if (!onNail(use))
      for (let stage = 0; stage < stageOf(use); stage++) mask |= onPiece.get(use.pieceId)![stage]!
    if (use.placedId !== null) last.set(flower, mask)
    needed.set(use, mask)
  }
  return needed
}
