import { Link } from 'react-router'
import { counted } from '#core/units'
import type { Bench } from '../../bench/useBench.ts'
import css from './Bench.module.css'

/** Nothing is left: what was made, and the way back. */
export function AllDone({ bench: { run, tally, line } }: { bench: Bench }) {
  const spoiled = [...tally.of.values()].reduce((sum, s) => sum + s.spoiled, 0)
  return (
    <main className={css.finished}>
      <h1>All done</h1>
      <p>
        {run.title}: {counted(run.frozen.steps.length, 'step')}
        {spoiled > 0 && `, ${spoiled} spoiled`}.{' '}
        {line.waiting > 0
          ? `${counted(line.waiting, 'tap waits', 'taps wait')} here to be sent: keep this tablet on.`
          : 'Every tap is at the server.'}
      </p>
      <p className={css.ways}>
        <Link to={`/bench/${run.id}/wrap-up`} className={`${css.act} ${css.on}`}>
          Wrap up: what was left, what came out
        </Link>
        <Link to={`/orders/${run.orderId}/bench`} className={css.small}>
          To the order
        </Link>
      </p>
    </main>
  )
}
