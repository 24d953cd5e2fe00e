/** A place in a document: keys of objects, and in a list of named things the thing's id. */
export type Path = readonly string[]

export type Fields = Record<string, unknown>

/** An object whose fields can be compared one by one. */
export function isFields(value: unknown): value is Fields {
  return value !== null && typeof value === 'object' && !Array.isArray(value)
}

/** Things in a list that are told apart by their ids. */
export type Things = { id: string }[]

/** A list whose items are told apart by ids of their own, no two the same. */
export function isThings(value: unknown): value is Things {
  if (!Array.isArray(value)) return false
  const ids = new Set<unknown>()
  for (const item of value) {
    if (!isFields(item) || typeof item.id !== 'string' || ids.has(item.id)) return false
    ids.add(item.id)
  }
  return true
}

/** Two forms of one thing, such as a cupcake turned into a tier: nothing in them can be compared field by field. */
export function sameForm(...values: Fields[]): boolean {
  return values.every((value) => value.kind === values[0]!.kind)
}
