import { ActionIcon } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { momentOf } from '#core/timeline/clock'
import { theOther } from '#core/units'
import { useComingDays } from '../../data/comingDays.ts'
import { useOrderEditor } from '../../data/orderEditor.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { FlagMark } from '../../parts/FlagMark.tsx'
import css from './Accepted.module.css'

/** An order that has just come in: whether it fits among the others of the coming days, and when it has to be begun. */
export function Accepted() {
  const { order, workshop } = useOrderEditor()
  const { weekMoment } = useCalendar()
  const { table, reply } = useComingDays(workshop)
  const [closed, setClosed] = useState(false)
  const own = table?.orders.find((o) => o.id === order.id)
  if (closed || !table || !own || !table.tasks.some((t) => t.orderId === order.id)) return null
  const others = table.orders.length - 1
  const misfits = reply?.misfits ?? []
  const late = misfits.filter((m) => m.kind === 'late')
  const among = others === 0 ? '' : ` among ${theOther(others, 'order')} of these days`
  return (
    <p className={css.note} role="status">
      {misfits.length === 0 ? (
        <>
          It fits{among}: start by <strong>{weekMoment(momentOf(own.from))}</strong>.
        </>
      ) : (
        <>
          <FlagMark />{' '}
          {late.some((m) => m.kind === 'late' && m.orderId === order.id)
            ? `It does not fit${among}: it would have had to begin at ${weekMoment(momentOf(own.from))}.`
            : `With it, not everything of these days fits.`}
        </>
      )}{' '}
      <Link to="/week">See the week</Link>
      <ActionIcon size={40} aria-label="Close the note" onClick={() => setClosed(true)}>
        <IconX size={18} stroke={1.6} />
      </ActionIcon>
    </p>
  )
}
