import type { Mishap } from '#core/catalogue/mishaps'
import css from './Mishaps.module.css'

/** What goes wrong, why, what to do now and next time, and when it does not matter. */
export function Mishaps({ mishaps }: { mishaps: readonly Mishap[] }) {
  return (
    <ul className={css.list}>
      {mishaps.map((m) => (
        <li key={m.id}>
          <h3>{m.look}</h3>
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
