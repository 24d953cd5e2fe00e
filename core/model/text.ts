import type { Fault } from './faults.ts'

/** A character that no database stores as text: NUL, or half of a surrogate pair. */
const unstorable = (text: string) => text.includes('\u0000') || !text.isWellFormed()

/** A place on the way down a document: linked, so that nesting however deep costs no copies of paths. */
interface Place {
  key: string | number
  above: Place | null
}

function pathTo(place: Place | null): Fault['path'] {
  const path: Fault['path'] = []
  for (let at = place; at; at = at.above) path.push(at.key)
  return path.reverse()
}

/** Nobody mends more than so many at a time. */
const MOST_FAULTS = 50

/** Texts inside a document, keys too, that cannot be stored as they are. Takes documents nested however deep. */
export function textFaults(document: unknown): Fault[] {
  const faults: Fault[] = []
  const left: { value: unknown; place: Place | null }[] = [{ value: document, place: null }]
  for (let at = left.pop(); at && faults.length < MOST_FAULTS; at = left.pop()) {
    const { value, place } = at
    if (typeof value === 'string') {
      if (unstorable(value))
        faults.push({
          path: pathTo(place),
          message: 'This text has a character that cannot be stored. Type it again.',
        })
    } else if (value !== null && typeof value === 'object') {
      const entries = Object.entries(value)
      if (entries.some(([key]) => unstorable(key)))
        faults.push({ path: pathTo(place), message: 'A name in here has a character that cannot be stored.' })
      // the last pushed is looked at first: backwards, so that faults come in the order of the document
      for (const [key, item] of entries.reverse())
        left.push({ value: item, place: { key: Array.isArray(value) ? Number(key) : key, above: place } })
    }
  }
  return faults
}
