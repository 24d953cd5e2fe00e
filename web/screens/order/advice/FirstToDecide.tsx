import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { sortAdvice } from '#core/plan/advice/grouped'
import { counted } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import css from './Advice.module.css'
import { stopOf } from './stops.ts'

/** What a stop of the order wants decided first, above everything else there; all other advice has a place of its own. */
export function FirstToDecide({ at }: { at: (typeof stopOf)[keyof typeof stopOf] }) {
  const { order, plan, take } = useOrderEditor()
  const here = plan?.advice.filter((a) => stopOf[a.about.kind] === at) ?? []
  const { decide } = sortAdvice(here, order.wavedOff)
  const first = decide[0]?.advice[0]
  if (!first) return null
  const more = decide.reduce((sum, g) => sum + g.advice.length, 0) - 1
  return (
    <section className={css.first} aria-label="To decide here">
      <p>
        <FlagMark />
        {first.message}
      </p>
      {first.remedy && (
        <Button onClick={() => take(first.remedy!.change, first.remedy!.label)}>{first.remedy.label}</Button>
      )}
      {more > 0 && (
        <Link to={`/orders/${order.id}/advice`} className={css.more}>
          and {counted(more, 'more decision', 'more decisions')}
        </Link>
      )}
    </section>
  )
}
