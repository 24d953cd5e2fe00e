import { Button, Select } from '@mantine/core'
import { letGo, settleOrder } from '#core/orders/settled'
import { minuteOf, momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { taskWords, whyWords } from '#core/timeline/words'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { useCalendar } from '../../../parts/calendar.ts'
import { MomentField } from '../../../parts/MomentField.tsx'
import css from './Timeline.module.css'

/** One task: when, who, why then, what is done beside it; and what a person locks about it. */
export function TaskPanel(props: {
  table: Timetable
  task: TimedTask
  settle(task: TimedTask, from: number): void
  close(): void
}) {
  const { table, task, settle, close } = props
  const { order, edit } = useOrderEditor()
  const { weekMoment, clock } = useCalendar()
  const at = (minute: number) => weekMoment(momentOf(minute))
  const orders = order.settled.orders.filter((o) => o.firstId === task.id || o.thenId === task.id)
  const nameOf = (id: string) => {
    const other = table.tasks.find((t) => t.id === id)
    return other ? taskWords(other) : id
  }
  const others = table.tasks
    .filter((t) => t.orderId === task.orderId && t.id !== task.id)
    .map((t) => ({ value: t.id, label: `${taskWords(t)}, ${at(t.from)}` }))
  return (
    <section className={css.panel} aria-label="The chosen task">
      <h3>{taskWords(task)}</h3>
      <p className="quiet">
        {at(task.from)} to {clock(momentOf(task.to))} · {task.to - task.from} min ·{' '}
        {table.hands[task.hand]?.name}
        {task.bags.length > 0 && ` · ${task.bags.length === 1 ? 'bag' : 'bags'} ${task.bags.join(', ')}`}
      </p>
      <p>
        {task.noSlack && <strong>No slack: it sets the start. </strong>}
        {whyWords(table, task, at)}
      </p>
      {task.notes.map((n) => (
        <p key={n}>{n}</p>
      ))}
      {orders.map((o) => (
        <p key={`${o.firstId} ${o.thenId}`}>
          Locked: {o.firstId === task.id ? `before “${nameOf(o.thenId)}”` : `after “${nameOf(o.firstId)}”`}.
        </p>
      ))}
      <MomentField
        label="Begin at"
        value={momentOf(task.from)}
        onChange={(value) => settle(task, minuteOf(value))}
      />
      <Select
        label="Do it before"
        placeholder="another task"
        searchable
        comboboxProps={{ withinPortal: false }}
        data={others}
        value={null}
        onChange={(id) => id && edit('locked which comes first', (o) => settleOrder(o, task.id, id))}
      />
      <div className={css.acts}>
        {task.settled || orders.length > 0 ? (
          <Button variant="filled" onClick={() => edit('let go of a lock', (o) => letGo(o, [task.id]))}>
            Let go
          </Button>
        ) : (
          <Button variant="filled" onClick={() => settle(task, task.from)}>
            Lock it here
          </Button>
        )}
        <Button onClick={close}>Close</Button>
      </div>
    </section>
  )
}
