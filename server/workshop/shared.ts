import type { StoredWorkshop } from '#contract/workshop'
import type { Workshop } from '#core/model/workshop'

/** A workshop as JSON in memory that all threads share, and the name of this state of it. */
export interface SharedWorkshop {
  fingerprint: string
  bytes: SharedArrayBuffer
}

export function shared(stored: Pick<StoredWorkshop, 'workshop'>, fingerprint: string): SharedWorkshop {
  const encoded = new TextEncoder().encode(JSON.stringify(stored))
  const bytes = new SharedArrayBuffer(encoded.length)
  new Uint8Array(bytes).set(encoded)
  return { fingerprint, bytes }
}

let known: { fingerprint: string; workshop: Workshop } | null = null

/** What a shared workshop says; a thread takes each state of it apart once. */
export function unshared({ fingerprint, bytes }: SharedWorkshop): Workshop {
  if (known?.fingerprint !== fingerprint) {
    // texts are decoded from memory of one's own
    const text = new TextDecoder().decode(new Uint8Array(bytes).slice())
    known = { fingerprint, workshop: (JSON.parse(text) as StoredWorkshop).workshop }
  }
  return known.workshop
}
