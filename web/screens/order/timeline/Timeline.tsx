import { Button } from '@mantine/core'
import { useMemo, useState } from 'react'
import { Link, NavLink, useOutletContext, useParams } from 'react-router'
import { letAllGo, letGo, settleStart } from '#core/orders/settled'
import { DAY_MINUTES, momentOf } from '#core/timeline/clock'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { taskWords } from '#core/timeline/words'
import { counted, formatMinutes, theOther } from '#core/units'
import { type AmongOthers, startOf } from '../../../data/amongOthers.ts'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useCalendar } from '../../../parts/calendar.ts'
import { Empty, Loading } from '../../../parts/states.tsx'
import { Bands } from '../../../timetable/Bands.tsx'
import { DayLimits } from '../../../timetable/DayLimits.tsx'
import { FlowerDab } from '../../../timetable/FlowerDab.tsx'
import { TaskTable } from '../../../timetable/TaskTable.tsx'
import type { OrderDays } from '../orderDays.ts'
import { Choices } from './Choices.tsx'
import { Faults } from './Faults.tsx'
import { LighterPart } from './LighterPart.tsx'
import { OneTip } from './OneTip.tsx'
import { TaskPanel } from './TaskPanel.tsx'
import css from './Timeline.module.css'

/** More open hours than this are looked at a day at a time. */
const WHOLE_MINUTES = 13 * 60

/** When everything of an order happens: the day as bands, as a table, and the hours and limits that it rests on. */
export function Timeline() {
  const { part } = useParams()
  const days = useOutletContext<OrderDays>()
  return part === 'lighter' ? (
    <>
      <div className={css.above}>
        <PartLinks />
      </div>
      <div className={css.stack}>
        <LighterPart />
        <OneTip />
      </div>
    </>
  ) : part === 'limits' ? (
    <>
      <div className={css.above}>
        <PartLinks />
      </div>
      <DayLimits />
    </>
  ) : days.error && !days.table ? (
    <p role="alert">The timetable could not be worked out: {days.error.message}</p>
  ) : (
    <Shown days={days} asTable={part === 'table'} />
  )
}

const PARTS = [
  ['', 'Day'],
  ['/table', 'Table'],
  ['/lighter', 'Lighter'],
  ['/limits', 'Limits'],
]

function PartLinks() {
  const { order } = useOrderEditor()
  return (
    <nav aria-label="Parts of the timeline" className={css.parts}>
      {PARTS.map(([to, name]) => (
        <NavLink key={name} to={`/orders/${order.id}/timeline${to}`} end>
          {name}
        </NavLink>
      ))}
    </nav>
  )
}

function Shown({ days, asTable }: { days: OrderDays; asTable: boolean }) {
  const { order } = useOrderEditor()
  const { table, reply } = days
  if (!reply) return <Loading what="the timetable" />
  if (reply.left.includes(order.id) || (!table && reply.faults.length === 0))
    return (
      <Empty title="No timetable yet">
        It follows from the plan, and the plan has something to put right first.
      </Empty>
    )
  if (table && table.tasks.length === 0)
    return (
      <Empty title="Nothing to do yet">
        Put pieces and flowers into the order: the timetable follows by itself.
      </Empty>
    )
  return (
    <>
      {reply.faults.length > 0 && <Faults faults={reply.faults} stale={!!table} />}
      {table && <Good table={table} days={days} asTable={asTable} stale={reply.faults.length > 0} />}
    </>
  )
}

function Good(props: { table: Timetable; days: OrderDays; asTable: boolean; stale: boolean }) {
  const { table, days, asTable, stale } = props
  const { order, workshop, edit } = useOrderEditor()
  const { weekMoment } = useCalendar()
  const [openId, setOpenId] = useState<string | null>(null)
  const [day, setDay] = useState<number | null>(null)
  const [all, setAll] = useState(false)
  const open = table.tasks.find((t) => `${t.orderId} ${t.id}` === openId) ?? null
  const views = useMemo(() => daysOf(table), [table])
  const many = table.openMinutes > WHOLE_MINUTES
  const chosen = views.find((v) => v.day === day) ?? (many && !all ? views.at(-1)! : null)
  const hexes = useMemo(() => new Map(order.colours.map((c) => [c.id, c.hex])), [order.colours])
  const settle = (task: TimedTask, from: number) =>
    edit(`locked: ${taskWords(task)}`, (o) => settleStart(o, task.id, momentOf(from)))
  const panel = (task: TimedTask) => (
    <TaskPanel table={table} task={task} settle={settle} close={() => setOpenId(null)} />
  )
  const settled = order.settled.starts.length + order.settled.orders.length
  return (
    <>
      <div className={stale ? css.stale : undefined} inert={stale}>
        <Card
          title={
            <span className={css.start}>
              Start by {weekMoment(momentOf(startOf(table.from, days.among)))}
            </span>
          }
          aside={
            <>
              <Together alone={table.from} among={days.among} /> {aboutWords(table, weekMoment)}
            </>
          }
          actions={
            <>
              {settled > 0 && (
                <Button onClick={() => edit('let go of all locks', letAllGo)}>
                  Let go of {counted(settled, 'lock')}
                </Button>
              )}
              <PartLinks />
              <Button component="a" href={`/api/orders/${order.id}/timeline.ics`}>
                Calendar file
              </Button>
            </>
          }
        >
          {asTable ? (
            <TaskTable
              table={table}
              csvHref={`/api/orders/${order.id}/plan/timeline.csv`}
              openId={openId}
              open={(t) => setOpenId(t ? `${t.orderId} ${t.id}` : null)}
            />
          ) : (
            <Bands
              table={table}
              now={days.now}
              view={chosen}
              look={(next) => {
                setDay(next)
                setAll(next === null)
              }}
              openId={openId}
              open={(t) => setOpenId(t ? `${t.orderId} ${t.id}` : null)}
              move={settle}
              orderId={null}
              hexOf={(_, id) => hexes.get(id)}
              panel={panel}
              picture={(t, size) =>
                t.flowerId && t.pieceId ? (
                  <FlowerDab
                    order={order}
                    workshop={workshop}
                    pieceId={t.pieceId}
                    flowerId={t.flowerId}
                    size={size}
                  />
                ) : null
              }
            />
          )}
        </Card>
        {asTable && open && (
          <div className={css.below}>
            <Card>{panel(open)}</Card>
          </div>
        )}
      </div>
      {table.lost.length > 0 && (
        <p className={css.lost}>
          {counted(table.lost.length, 'lock')} {table.lost.length === 1 ? 'is' : 'are'} on work that is not in
          the order any more.{' '}
          <Button
            size="compact-md"
            onClick={() =>
              edit('let go of lost locks', (o) =>
                letGo(
                  o,
                  table.lost.map((l) => l.taskId),
                ),
              )
            }
          >
            Let go
          </Button>
        </p>
      )}
      {!stale && <Choices table={table} days={days} />}
    </>
  )
}

/** What the start is among, and when the order would begin by itself: that is the timetable below. */
function Together({ alone, among }: { alone: number; among: AmongOthers | null }) {
  const { weekMoment } = useCalendar()
  if (!among || among.others === 0) return null
  return (
    <>
      <Link to="/week">with {theOther(among.others, 'order')}</Link>
      {among.fits ? '' : ': does not fit'} · by itself, as below,{' '}
      {startOf(alone, among) === alone ? 'the same' : weekMoment(momentOf(alone))} ·
    </>
  )
}

const aboutWords = (table: Timetable, weekMoment: (at: string) => string): string =>
  [
    table.leastMinutes !== null && leastWords(table.openMinutes - table.leastMinutes),
    `ready ${weekMoment(momentOf(table.to))}`,
  ]
    .filter(Boolean)
    .join(' · ')

const leastWords = (above: number): string =>
  above < 1
    ? 'no later start is possible'
    : `${formatMinutes(above)} above the least there can be, in open hours`

/** Days on which something is done, each from its first open minute to its last. */
function daysOf(table: Timetable): { day: number; from: number; to: number }[] {
  const days = [...new Set(table.tasks.map((t) => Math.floor(t.from / DAY_MINUTES)))]
  return days.map((day) => {
    const own = table.tasks.filter((t) => Math.floor(t.from / DAY_MINUTES) === day)
    const last = day === Math.floor(table.collect / DAY_MINUTES)
    return {
      day,
      from: Math.min(...own.map((t) => t.from)) - 5,
      to: last ? table.collect + 5 : Math.max(...own.map((t) => t.to)) + 5,
    }
  })
}
