import { Button, Select } from '@mantine/core'
import { letGo, settleOrder } from '#core/orders/settled'
import { momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { taskWords, whyWords } from '#core/timeline/words'
import { formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useCalendar } from '../../../parts/calendar.ts'
import { MomentField } from '../../../parts/MomentField.tsx'
import css from './Timeline.module.css'

/** One task: when, who, why then, what is done beside it; and what a person settles about it. */
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
  const isSettled =
    task.settled || order.settled.orders.some((o) => o.firstId === task.id || o.thenId === task.id)
  const others = table.tasks
    .filter((t) => t.orderId === task.orderId && t.id !== task.id)
    .map((t) => ({ value: t.id, label: `${taskWords(t)}, ${at(t.from)}` }))
  return (
    <div style={{ marginTop: 12 }}>
      <Card
        label="The chosen task"
        title={taskWords(task)}
        aside={`${at(task.from)} to ${clock(momentOf(task.to))} · ${formatMinutes(task.to - task.from)} · ${table.hands[task.hand]?.name}`}
        actions={<Button onClick={close}>Close</Button>}
      >
        <p>
          {task.noSlack && <strong>No slack: it sets the start. </strong>}
          {whyWords(table, task, at)}
        </p>
        {task.bags.length > 0 && <p className="quiet">Bags {task.bags.join(', ')}</p>}
        {task.notes.map((n) => (
          <p key={n}>{n}</p>
        ))}
        <div className={css.acts}>
          <MomentField
            label="Settle its start"
            value={momentOf(task.from)}
            onChange={(value) => settle(task, Date.parse(`${value}Z`) / 60_000)}
          />
          {!task.settled && <Button onClick={() => settle(task, task.from)}>Settle it here</Button>}
          <Select
            label="Do it before"
            placeholder="another task"
            searchable
            w={300}
            data={others}
            value={null}
            onChange={(id) => id && edit('settled which comes first', (o) => settleOrder(o, task.id, id))}
          />
          {isSettled && (
            <Button onClick={() => edit('let go what was settled', (o) => letGo(o, [task.id]))}>
              Let go
            </Button>
          )}
        </div>
      </Card>
    </div>
  )
}
