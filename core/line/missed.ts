import type { Item } from './lex.ts'
import type { Span } from './spans.ts'
import { leading } from './words.ts'

/**
 * What was missed in as few stretches as it is: words beside each other are one, with the words that join them and a word
 * that leads up to them.
 */
export function joinedMissed(text: string, items: readonly Item[], missed: readonly Span[]): Span[] {
  const spans: Span[] = []
  for (const { from, to } of [...missed].sort((a, b) => a.from - b.from)) {
    const last = spans.at(-1)
    const between = last && items.filter((i) => i.from >= last.to && i.to <= from)
    if (last && between!.every((i) => i.kind === 'joining')) last.to = Math.max(last.to, to)
    else spans.push({ from, to })
  }
  for (const span of spans) {
    const before = items.filter((i) => i.to <= span.from).at(-1)
    if (
      before?.kind === 'joining' &&
      leading.has(before.word) &&
      text.slice(before.to, span.from).trim() === ''
    )
      span.from = before.from
  }
  return spans
}
