import type { Flower } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'

/** What is worked out of a flower with a drawer of tips, under a key for the rest that it depends on. */
export type Remember<T> = (
  tips: readonly OwnedTip[],
  flower: Flower,
  key: string | number,
  find: () => T,
) => T

/** Keys of one flower that are kept. */
const MOST_KEPT = 100

/**
 * A memory from one plan to the next. What changes a recipe or the drawer makes new objects, which are not remembered
 * yet, and the old ones are forgotten with all that was found for them.
 */
export function remembering<T>(): Remember<T> {
  const drawers = new WeakMap<readonly OwnedTip[], WeakMap<Flower, Map<string | number, T>>>()
  return (tips, flower, key, find) => {
    const ofDrawer = drawers.get(tips) ?? new WeakMap<Flower, Map<string | number, T>>()
    drawers.set(tips, ofDrawer)
    const kept = ofDrawer.get(flower) ?? new Map<string | number, T>()
    ofDrawer.set(flower, kept)
    const known = kept.get(key)
    if (known !== undefined) return known
    if (kept.size >= MOST_KEPT) kept.clear()
    const found = find()
    kept.set(key, found)
    return found
  }
}
