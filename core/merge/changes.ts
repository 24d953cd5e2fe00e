import { dequal as equal } from 'dequal/lite'
import { isFields, isThings, type Path, sameForm, type Things } from './shape.ts'

/** One thing that became another. Undefined stands for "not there"; for an `order` both are lists of ids. */
export interface Change {
  path: Path
  kind: 'value' | 'order'
  from: unknown
  to: unknown
}

/** Every smallest part of a document in which two states of it differ; lists of named things are compared by their ids. */
export function changes(before: unknown, after: unknown, path: Path = []): Change[] {
  if (equal(before, after)) return []
  if (isThings(before) && isThings(after)) return listChanges(before, after, path)
  if (isFields(before) && isFields(after) && sameForm(before, after))
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      changes(before[key], after[key], [...path, key]),
    )
  return [{ path, kind: 'value', from: before, to: after }]
}

function listChanges(before: Things, after: Things, path: Path): Change[] {
  const was = new Map(before.map((item) => [item.id, item]))
  const is = new Map(after.map((item) => [item.id, item]))
  const ids = new Set([...was.keys(), ...is.keys()])
  const inside = [...ids].flatMap((id) => changes(was.get(id), is.get(id), [...path, id]))
  const moved = reordered(before, after)
    ? [{ path, kind: 'order' as const, from: before.map((i) => i.id), to: after.map((i) => i.id) }]
    : []
  return [...inside, ...moved]
}

/** Whether what both lists have stands in another order. */
export function reordered(before: Things, after: Things): boolean {
  const was = new Set(before.map((item) => item.id))
  const is = new Set(after.map((item) => item.id))
  const left = before.filter((item) => is.has(item.id)).map((item) => item.id)
  const right = after.filter((item) => was.has(item.id)).map((item) => item.id)
  return !equal(left, right)
}
