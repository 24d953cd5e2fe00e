import { Term } from '../glossary/Term.tsx'
import css from './Bands.module.css'

const LEGEND = [
  ['freeze', 'freezing'],
  ['firm', 'becoming firm'],
  ['chill', 'chilling'],
  ['dry', 'drying'],
  ['kept', 'kept until it is wanted'],
] as const

/** What the bars, bands and lines of a day mean; only what is there. */
export function Legend({
  kinds,
  rests,
  canMove,
}: {
  kinds: ReadonlySet<string>
  rests: boolean
  canMove: boolean
}) {
  return (
    <div className={css.legend}>
      <span>
        <svg width="34" height="10" aria-hidden="true" style={{ marginRight: 6 }}>
          <path d="M4 5H33" stroke="var(--text)" strokeWidth={2.5} />
          <circle cx={5} cy={5} r={3.6} fill="var(--card)" stroke="var(--text)" strokeWidth={2} />
        </svg>
        <Term id="noSlack">no slack</Term>: sets the start
      </span>
      <span>
        <i className={css.task} />
        hands-on
      </span>
      {LEGEND.filter(([kind]) => kinds.has(kind)).map(([kind, words]) => (
        <span key={kind}>
          <i className={css.stay} data-kind={kind} />
          {words}
        </span>
      ))}
      {rests && (
        <span>
          <i className={css.rest} />
          rest for the hand
        </span>
      )}
      <span className={css.tip}>
        {canMove ? 'press a bar to read why then; drag it to lock it' : 'press a bar to read why then'}
      </span>
    </div>
  )
}
