import { momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { doesWords } from '#core/timeline/words'
import { useCalendar } from '../parts/calendar.ts'
import { DataTable } from '../parts/DataTable.tsx'

/** The timetable as rows: start, end, who, what, where. */
export function TaskTable(props: {
  table: Timetable
  csvHref?: string
  openId: string | null
  open(task: TimedTask | null): void
}) {
  const { table, csvHref, openId, open } = props
  const { weekMoment, clock } = useCalendar()
  return (
    <DataTable
      caption="Every task"
      long
      rows={table.tasks}
      rowKey={(t) => `${t.orderId} ${t.id}`}
      csvHref={csvHref}
      selectedKey={openId}
      onRow={open}
      columns={[
        {
          key: 'from',
          name: 'Start',
          value: (t) => momentOf(t.from),
          show: (t) => weekMoment(momentOf(t.from)),
        },
        { key: 'to', name: 'End', value: (t) => momentOf(t.to), show: (t) => clock(momentOf(t.to)) },
        { key: 'min', name: 'min', numeric: true, value: (t) => t.to - t.from },
        { key: 'who', name: 'Who', value: (t) => table.hands[t.hand]?.name ?? '' },
        { key: 'does', name: 'Does', value: (t) => doesWords(t.kind) },
        { key: 'what', name: 'What', value: (t) => (t.kind === 'wash' ? '' : t.what) },
        { key: 'where', name: 'Where', value: (t) => t.where },
        { key: 'bags', name: 'Bags', value: (t) => t.bags.join(', ') },
        {
          key: 'slack',
          name: 'Slack',
          value: (t) => (t.settled ? 'locked' : t.noSlack ? 'none' : ''),
        },
      ]}
    />
  )
}
