import { distance } from 'fastest-levenshtein'
import type { Flower } from '../model/flower.ts'
import type { SurfaceKind } from '../surfaces/index.ts'
import { colourMoves, colourNames } from './colourWords.ts'
import { edgeWords, flowerWords, joining, pieceWords, schoolWords, sizeWords } from './words.ts'

/** What a phrase means. */
export type Meaning =
  | { kind: 'piece'; piece: SurfaceKind }
  /** The likeliest flower first. */
  | { kind: 'flower'; ids: string[] }
  | { kind: 'colour'; name: string }
  | { kind: 'school'; schoolId: string }
  | { kind: 'edge'; edges: readonly ('top' | 'foot')[] }
  | { kind: 'size'; size: 'big' | 'small' }
  | { kind: 'tiers' }
  | { kind: 'each' }
  | { kind: 'list' }

/** Everything a line may say, by the stems of its words. */
export interface Vocabulary {
  /** By the first stem; longest first. */
  phrases: ReadonlyMap<string, readonly { stems: readonly string[]; means: readonly Meaning[] }[]>
  stems: ReadonlySet<string>
  flowers: ReadonlyMap<string, Flower>
  /** The word that was meant by one that is not known and was written with so many letters, or null. */
  corrected(stem: string, letters: number): string | null
}

/** A word as it is compared: in small letters, without marks and the ends of plurals. */
export function stemOf(word: string): string {
  const plain = word.toLowerCase().normalize('NFD').replace(/\p{M}/gu, '')
  if (plain.endsWith('leaves')) return plain.replace(/leaves$/, 'leaf')
  // cookie, cookies; daisy, daisies
  if (plain.endsWith('ie')) return `${plain.slice(0, -2)}y`
  if (plain.length > 4 && plain.endsWith('ies')) return `${plain.slice(0, -3)}y`
  if (plain.length > 3 && /(ses|xes|ches|shes)$/.test(plain))
    return plain.slice(0, /ses$/.test(plain) ? -1 : -2)
  if (plain.length > 3 && plain.endsWith('s') && !/(ss|us)$/.test(plain)) return plain.slice(0, -1)
  return plain
}

export const stemsOf = (phrase: string): string[] =>
  phrase
    .split(/[\s-]+/)
    .filter(Boolean)
    .map(stemOf)

/** A word may be so many letters off, by its length: short ones not at all, or every word would be a flower. */
const offBy = (length: number): number => (length < 5 ? 0 : length < 7 ? 1 : 2)

/** From what the bakery has: its own recipes are words like the library's. */
export function vocabularyOf(flowers: readonly Flower[]): Vocabulary {
  const phrases = new Map<string, { stems: string[]; means: Meaning[] }[]>()
  const stems = new Set<string>()
  const add = (phrase: string, means: Meaning) => {
    const of = stemsOf(phrase)
    if (of.length === 0) return
    for (const stem of of) if (!joining.has(stem)) stems.add(stem)
    const same = phrases.get(of[0]!) ?? []
    phrases.set(of[0]!, same)
    const known = same.find((p) => p.stems.join(' ') === of.join(' '))
    if (!known) same.push({ stems: of, means: [means] })
    else {
      const flower = known.means.find((m) => m.kind === 'flower')
      if (means.kind === 'flower' && flower?.kind === 'flower') flower.ids.push(...means.ids)
      else known.means.push(means)
    }
  }
  const byId = new Map(flowers.map((f) => [f.id, f]))
  // the bakery's own recipes come before the library's of the same name
  const ranked = [...flowers].sort((a, b) => Number(b.source === 'own') - Number(a.source === 'own'))
  for (const f of ranked)
    for (const word of flowerWords[f.id] ?? []) add(word, { kind: 'flower', ids: [f.id] })
  for (const f of ranked) add(f.name, { kind: 'flower', ids: [f.id] })
  for (const [phrase, piece] of pieceWords) add(phrase, { kind: 'piece', piece })
  for (const [phrase, schoolId] of schoolWords) add(phrase, { kind: 'school', schoolId })
  for (const [phrase, edges] of edgeWords) add(phrase, { kind: 'edge', edges })
  for (const [phrase, size] of sizeWords) add(phrase, { kind: 'size', size })
  for (const name of colourNames) {
    add(name, { kind: 'colour', name })
    for (const move of colourMoves) add(`${move} ${name}`, { kind: 'colour', name: `${move} ${name}` })
  }
  add('tier', { kind: 'tiers' })
  add('each', { kind: 'each' })
  add('on each', { kind: 'each' })
  add('per piece', { kind: 'each' })
  add('colour', { kind: 'list' })
  add('color', { kind: 'list' })
  for (const list of phrases.values()) list.sort((a, b) => b.stems.length - a.stems.length)
  const known = [...stems]
  return {
    phrases,
    stems,
    flowers: byId,
    corrected(stem, letters) {
      const most = offBy(letters)
      let best: { word: string; off: number } | null = null
      for (const word of known) {
        if (word.length < 5 || Math.abs(word.length - stem.length) > most || word[0] !== stem[0]) continue
        const off = distance(word, stem)
        if (off <= most && (!best || off < best.off)) best = { word, off }
      }
      return best?.word ?? null
    },
  }
}
