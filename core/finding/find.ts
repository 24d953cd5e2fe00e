import Fuse from 'fuse.js'
import type { Findable } from './entries.ts'

/** A name counts for more than a word that says what something has. */
const WEIGHTS = [
  { name: 'name', weight: 3 },
  { name: 'words', weight: 1 },
]
/** How far from what is typed a word may be: one letter in three. */
const THRESHOLD = 0.34
const MOST_FOUND = 12

/** Finds by part of a name or by a word, also misspelt; several words must all be found. */
export interface Finder {
  /** At most `most`, the likeliest first. */
  find(text: string, most?: number): Findable[]
}

export function newFinder(all: readonly Findable[]): Finder {
  const fuse = new Fuse(all, {
    keys: WEIGHTS,
    threshold: THRESHOLD,
    ignoreLocation: true,
    ignoreDiacritics: true,
    includeScore: true,
    minMatchCharLength: 2,
  })
  return {
    find(text, most = MOST_FOUND) {
      const words = text.trim().toLowerCase().split(/\s+/).filter(Boolean)
      if (words.length === 0) return []
      const scores = new Map<Findable, number>(all.map((entry) => [entry, 0]))
      for (const word of words) {
        const found = new Map(fuse.search(word).map((r) => [r.item, r.score ?? 1]))
        for (const entry of [...scores.keys()]) {
          const score = found.get(entry)
          if (score === undefined) scores.delete(entry)
          else scores.set(entry, scores.get(entry)! + score - begins(entry, word))
        }
      }
      return [...scores]
        .sort((a, b) => a[1] - b[1] || a[0].name.length - b[0].name.length)
        .slice(0, most)
        .map(([entry]) => entry)
    },
  }
}

/** A word that a name begins with, or a word of it, is what was meant. */
function begins({ name, words }: Findable, typed: string): number {
  const own = name.toLowerCase()
  if (own === typed) return 3
  if (own.startsWith(typed)) return 2
  if (own.split(/[\s,]+/).some((w) => w.startsWith(typed))) return 1.5
  return words.some((w) =>
    w
      .toLowerCase()
      .split(/\s+/)
      .some((part) => part.startsWith(typed)),
  )
    ? 1
    : 0
}
