import type { LineRead } from '#core/line/meant'
import css from './LineBox.module.css'

/** The text once more behind the field, its letters unseen, with marks under what was understood and what was not. */
export function Marked({ text, read }: { text: string; read: LineRead }) {
  const spans = [
    ...read.chips.map((c) => ({ from: c.from, to: c.to, as: c.guess ? 'guess' : 'known' })),
    ...read.missed.map((m) => ({ ...m, as: 'missed' })),
  ].sort((a, b) => a.from - b.from)
  const parts: { text: string; as?: string; at: number }[] = []
  let at = 0
  for (const span of spans) {
    if (span.from < at) continue
    if (span.from > at) parts.push({ text: text.slice(at, span.from), at })
    parts.push({ text: text.slice(span.from, span.to), as: span.as, at: span.from })
    at = span.to
  }
  parts.push({ text: text.slice(at), at })
  return (
    <div className={css.marked} aria-hidden="true">
      {parts.map((part) => (
        <span key={part.at} data-as={part.as}>
          {part.text}
        </span>
      ))}
    </div>
  )
}
