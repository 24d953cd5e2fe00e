import { dequal as equal } from 'dequal/lite'
import { type Change, changes, reordered } from './changes.ts'
import { isFields, isThings, type Path, sameForm, type Things } from './shape.ts'

/** A place that both have changed, each into something else. Undefined stands for "taken out". */
export interface Clash {
  path: Path
  base: unknown
  mine: unknown
  theirs: unknown
}

export type Side = 'mine' | 'theirs'

export interface Merged<T> {
  document: T
  /** What each side alone has changed: both are kept. */
  mine: Change[]
  theirs: Change[]
  /** Where somebody has to choose. */
  clashes: Clash[]
}

/** A path as one word, to name a clash by. */
export const pathKey = (path: Path): string => path.join(' ')

/**
 * Two people's changes to one document, put together from the state that both began with: what only one of them changed
 * is taken from that one, and where both changed the same place, `choose` says whose stands. (Three-way merge of trees;
 * lists are matched by ids, as in Lindholm, "A three-way merge for XML documents", 2004.)
 */
export function merge<T>(
  base: T,
  mine: T,
  theirs: T,
  choose: (clash: Clash) => Side = () => 'mine',
): Merged<T> {
  const merged: Merged<T> = { document: mine, mine: [], theirs: [], clashes: [] }

  function join(b: unknown, m: unknown, t: unknown, path: Path): unknown {
    if (equal(m, t)) return m
    if (equal(b, m)) {
      merged.theirs.push(...changes(b, t, path))
      return t
    }
    if (equal(b, t)) {
      merged.mine.push(...changes(b, m, path))
      return m
    }
    if (isThings(b) && isThings(m) && isThings(t)) return joinLists(b, m, t, path)
    if (isFields(b) && isFields(m) && isFields(t) && sameForm(b, m, t)) {
      const keys = new Set([...Object.keys(m), ...Object.keys(t)])
      const entries = [...keys].map((key) => [key, join(b[key], m[key], t[key], [...path, key])] as const)
      return Object.fromEntries(entries.filter(([, value]) => value !== undefined))
    }
    const clash: Clash = { path, base: b, mine: m, theirs: t }
    merged.clashes.push(clash)
    return choose(clash) === 'mine' ? m : t
  }

  function joinLists(b: Things, m: Things, t: Things, path: Path): Things {
    const [was, ours, others] = [b, m, t].map((list) => new Map(list.map((item) => [item.id, item])))
    const joined = new Map<string, unknown>()
    for (const id of new Set([...was!.keys(), ...ours!.keys(), ...others!.keys()]))
      joined.set(id, join(was!.get(id), ours!.get(id), others!.get(id), [...path, id]))
    // an order that only they have changed is theirs; else mine, with what they added behind what it followed
    const theirOrder = reordered(b, t) && !reordered(b, m)
    const [first, second] = theirOrder ? [t, m] : [m, t]
    if (reordered(b, first)) {
      const order = { path, kind: 'order' as const, from: b.map((i) => i.id), to: first.map((i) => i.id) }
      merged[theirOrder ? 'theirs' : 'mine'].push(order)
    }
    return inOrder(
      first.map((i) => i.id),
      second.map((i) => i.id),
    ).flatMap((id) => {
      const item = joined.get(id)
      return item === undefined ? [] : [item as Things[number]]
    })
  }

  merged.document = join(base, mine, theirs, []) as T
  return merged
}

/** The ids of the first list, and each of the second that is not among them behind the one it follows there. */
function inOrder(first: string[], second: string[]): string[] {
  const order = [...first]
  second.forEach((id, i) => {
    if (order.includes(id)) return
    const before = second
      .slice(0, i)
      .reverse()
      .find((other) => order.includes(other))
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id)
  })
  return order
}
