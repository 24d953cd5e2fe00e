import type { Mishap } from '#core/catalogue/mishaps'
import css from './Mishaps.module.css'

/** What goes wrong, why, what to do now and next time, and when it does not matter. */
/** @param under the heading that they stand under: theirs is one lower. */
export function Mishaps({ mishaps, under }: { mishaps: readonly Mishap[]; under: 'h1' | 'h2' }) {
  const Look = under === 'h1' ? 'h2' : 'h3'
  return (
    <ul className={css.list}>
      {mishaps.map((m) => (
        <li key={m.id}>
          <Look>{m.look}</Look>
          <p className={css.cause}>{m.cause}</p>
          <dl>
            <dt>now</dt>
            <dd>{m.now}</dd>
            <dt>next time</dt>
            <dd>{m.next}</dd>
            {m.fine && (
              <>
                <dt>does not matter</dt>
                <dd>{m.fine}</dd>
              </>
            )}
          </dl>
        </li>
      ))}
    </ul>
  )
}
