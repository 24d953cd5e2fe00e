import { Button } from '@mantine/core'
import type { Advice, Remedy } from '#core/model/plan'
import css from './AdviceList.module.css'

const words: Record<Advice['severity'], string> = {
  stop: 'Stop',
  decide: 'Decide',
  note: 'Note',
}

/** Advice with its weight in words and shape, and its change as a button. */
export function AdviceList(props: {
  advice: readonly Advice[]
  take: (remedy: Remedy, label: string) => void
}) {
  return (
    <ul className={css.list}>
      {props.advice.map((a) => (
        <li
          key={`${a.code} ${a.about.kind} ${a.about.id} ${a.message}`}
          className={css.item}
          data-severity={a.severity}
        >
          <span className={css.mark}>
            {a.severity !== 'note' && <FlagMark />}
            {words[a.severity]}
          </span>
          <span className={css.message}>{a.message}</span>
          {a.remedy && (
            <Button size="compact-sm" onClick={() => props.take(a.remedy!.change, a.remedy!.label)}>
              {a.remedy.label}
            </Button>
          )}
        </li>
      ))}
    </ul>
  )
}

/** The small flag of things that want a decision; always beside words. */
export function FlagMark() {
  return (
    <svg viewBox="0 0 8 8" width="9" height="9" aria-hidden="true" className={css.flag}>
      <path d="M0 0 8 4 0 8z" />
    </svg>
  )
}
