import { type FoundSpan, type Span, spansOf } from './spans.ts'
import { type Meaning, stemOf, type Vocabulary } from './vocabulary.ts'
import { joining, numberWords } from './words.ts'

/** A line in the pieces that it says something by. */
export type Item = Span &
  (
    | { kind: 'number'; value: number }
    | { kind: 'share'; value: number }
    | { kind: 'phrase'; means: readonly Meaning[]; plural: boolean; corrected: boolean }
    | { kind: 'mark'; mark: ',' | ';' | ':' }
    | { kind: 'joining'; word: string }
    | { kind: 'unknown' }
    | FoundSpan
  )

interface Word extends Span {
  text: string
  stem: string
  corrected: boolean
}

const WORD = /\d+(?![\p{L}\d])|\d+(?=x\b)|[\p{L}\p{N}'’]+|[,;:\n.!?×&+]/gu
const DOZEN = 12

/** What a line says, from its beginning to its end; `now` is a moment like 2026-11-25T10:00. */
export function lex(text: string, vocabulary: Vocabulary, now: string): Item[] {
  const spans = spansOf(text, now)
  const items: Item[] = [...spans]
  const halves = (text.match(/\bhalf\b/giu) ?? []).length
  const words = [...text.matchAll(WORD)]
    .map((m) => ({ from: m.index, to: m.index + m[0].length, text: m[0] }))
    .filter((w) => !spans.some((s) => s.from < w.to && w.from < s.to))
    .map((w): Word => ({ ...w, ...known(w.text, vocabulary) }))
  const gap = (a: Word, b: Word) => /^[\s-]*$/u.test(text.slice(a.to, b.from))
  for (let i = 0; i < words.length; ) {
    const word = words[i]!
    if (/^[,;:\n.!?]$/u.test(word.text)) {
      const mark = word.text === ':' ? ':' : /[,!?]/.test(word.text) ? ',' : ';'
      items.push({ kind: 'mark', mark, from: word.from, to: word.to })
      i += 1
      continue
    }
    // two halves of one thing, and not the flower of that name
    if (word.stem === 'half' && halves > 1) {
      items.push({ kind: 'share', value: 0.5, from: word.from, to: word.to })
      i += 1
      continue
    }
    const phrase = vocabulary.phrases
      .get(word.stem)
      ?.find(({ stems }) =>
        stems.every((s, k) => words[i + k]?.stem === s && (k === 0 || gap(words[i + k - 1]!, words[i + k]!))),
      )
    if (phrase) {
      const taken = words.slice(i, i + phrase.stems.length)
      const last = taken.at(-1)!
      items.push({
        ...{ kind: 'phrase', means: phrase.means, corrected: taken.some((t) => t.corrected) },
        plural: stemOf(last.text) !== last.text.toLowerCase() || last.corrected,
        ...{ from: word.from, to: last.to },
      })
      i += taken.length
      continue
    }
    const number = /^\d+$/.test(word.text) ? Number(word.text) : numberWords[word.stem]
    const next = words[i + 1]
    if (next?.stem === 'dozen' && (number !== undefined || ['a', 'one'].includes(word.stem))) {
      items.push({ kind: 'number', value: (number ?? 1) * DOZEN, from: word.from, to: next.to })
      i += 2
      continue
    }
    if (number !== undefined) items.push({ kind: 'number', value: number, from: word.from, to: word.to })
    else if (word.stem === 'dozen') items.push({ kind: 'number', value: DOZEN, from: word.from, to: word.to })
    else if (joining.has(word.text.toLowerCase()) || /^[x×&+]$/iu.test(word.text))
      items.push({ kind: 'joining', word: word.text.toLowerCase(), from: word.from, to: word.to })
    else items.push({ kind: 'unknown', from: word.from, to: word.to })
    i += 1
  }
  return items.sort((a, b) => a.from - b.from)
}

/** A word's stem, or that of the word that was meant. */
function known(text: string, vocabulary: Vocabulary): { stem: string; corrected: boolean } {
  const stem = stemOf(text)
  const sure =
    vocabulary.stems.has(stem) ||
    joining.has(text.toLowerCase()) ||
    stem in numberWords ||
    !/^\p{L}/u.test(text)
  const meant = sure ? null : vocabulary.corrected(stem, text.length)
  return { stem: meant ?? stem, corrected: meant !== null }
}
