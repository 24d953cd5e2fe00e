import { lex } from './lex.ts'
import type { LineRead } from './meant.ts'
import { LineReader } from './reader.ts'
import type { Vocabulary } from './vocabulary.ts'

/**
 * Reads an order as it is written on a pad: counts, pieces, measures, flowers, colours, sizes, ways of placing, borders,
 * the day, what must not be in it. What it does not understand is among what was missed, never left out in silence.
 * @param now a moment like 2026-11-25T10:00, from which days are counted.
 */
export function readLine(text: string, vocabulary: Vocabulary, now: string): LineRead {
  return new LineReader(text, lex(text, vocabulary, now), vocabulary).read()
}
