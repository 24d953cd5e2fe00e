import type { Fault } from './faults.ts'

/** A character that no database stores as text: NUL, or half of a surrogate pair. */
const unstorable = (text: string) => text.includes('\u0000') || !text.isWellFormed()

/** Every text inside a document, keys too, that cannot be stored as it is. Takes documents nested however deep. */
export function textFaults(document: unknown): Fault[] {
  const faults: Fault[] = []
  const left: { value: unknown; path: Fault['path'] }[] = [{ value: document, path: [] }]
  for (let at = left.pop(); at; at = left.pop()) {
    const { value, path } = at
    if (typeof value === 'string') {
      if (unstorable(value))
        faults.push({ path, message: 'This text has a character that cannot be stored. Type it again.' })
    } else if (value !== null && typeof value === 'object') {
      const entries = Object.entries(value)
      if (entries.some(([key]) => unstorable(key)))
        faults.push({ path, message: 'A name in here has a character that cannot be stored.' })
      // the last pushed is looked at first: backwards, so that faults come in the order of the document
      for (const [key, item] of entries.reverse())
        left.push({ value: item, path: [...path, Array.isArray(value) ? Number(key) : key] })
    }
  }
  return faults
}
