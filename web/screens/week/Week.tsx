import { useState } from 'react'
import { Link, NavLink, useParams } from 'react-router'
import { DAY_MINUTES, dayOf, minuteOf, momentOf } from '#core/timeline/clock'
import { loadByDay } from '#core/timeline/load'
import type { TimedTask, Timetable } from '#core/timeline/timetable'
import { taskWords, whyWords } from '#core/timeline/words'
import { counted, formatMinutes } from '#core/units'
import { type ComingDays, useComingDays } from '../../data/comingDays.ts'
import { useWorkshop } from '../../data/workshop.ts'
import { Card, PageHead } from '../../parts/Card.tsx'
import { today, useCalendar } from '../../parts/calendar.ts'
import { FlagMark } from '../../parts/FlagMark.tsx'
import { Empty, Loading } from '../../parts/states.tsx'
import { Bands } from '../../timetable/Bands.tsx'
import { DayLimits } from '../../timetable/DayLimits.tsx'
import { misfitWords } from '../../timetable/misfitWords.ts'
import { TaskTable } from '../../timetable/TaskTable.tsx'
import parts from '../order/timeline/Timeline.module.css'
import { LoadChart } from './LoadChart.tsx'
import { SaveWeek } from './SaveWeek.tsx'
import css from './Week.module.css'

const DAYS_SHOWN = 8

/** The coming days of the bakery: every order on one bench, how full each day is, and when each order has to be begun. */
export function Week() {
  const { part } = useParams()
  const { workshop } = useWorkshop()
  const days = useComingDays(workshop)
  return (
    <>
      <PageHead
        title="Week"
        line="All orders to come on one bench: they share hands, mixer, shelves, and bowls of equal colours"
        actions={
          <>
            <nav aria-label="Parts of the week" className={parts.parts}>
              {[
                ['', 'Days'],
                ['/table', 'Table'],
                ['/limits', 'Hours and limits'],
              ].map(([to, name]) => (
                <NavLink key={name} to={`/week${to}`} end>
                  {name}
                </NavLink>
              ))}
            </nav>
            {days.table && workshop && <SaveWeek table={days.table} bakery={workshop.settings.bakery} />}
          </>
        }
      />
      {part === 'limits' ? <DayLimits /> : <Coming days={days} asTable={part === 'table'} />}
    </>
  )
}

function Coming({ days, asTable }: { days: ComingDays; asTable: boolean }) {
  const { table, reply, orders, error } = days
  if (error && !table) return <p role="alert">The week could not be worked out: {error.message}</p>
  if (orders?.length === 0)
    return (
      <Empty title="Nothing to make in the coming days">
        Orders that are due within two weeks stand here, and how full they make each day.
      </Empty>
    )
  if (!reply || !orders) return <Loading what="the week" />
  return (
    <>
      {reply.faults.length > 0 && (
        <section className={parts.faults} role="alert">
          <strong>
            <FlagMark /> No timetable can be made like this.
          </strong>{' '}
          {table && 'Below stands the last good one: it is not by what is set now.'}
          <ul>
            {reply.faults.map((f) => (
              <li key={f.message}>
                {f.message}{' '}
                {f.about.kind === 'settings' ? (
                  <Link to="/week/limits">Hours and limits</Link>
                ) : (
                  <Link to={`/orders/${f.about.orderId}/timeline`}>its timeline</Link>
                )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {table && (
        <div className={reply.faults.length > 0 ? parts.stale : undefined} inert={reply.faults.length > 0}>
          {asTable ? (
            <Card>
              <TaskTable table={table} openId={null} open={() => {}} />
            </Card>
          ) : (
            <Shown table={table} days={days} />
          )}
        </div>
      )}
    </>
  )
}

function Shown({ table, days }: { table: Timetable; days: ComingDays }) {
  const { workshop } = useWorkshop()
  const calendar = useCalendar()
  const first = dayOf(minuteOf(`${today()}T00:00`))
  const [day, setDay] = useState<number | null>(null)
  const [openId, setOpenId] = useState<string | null>(null)
  const misfits = days.reply?.misfits ?? []
  const last = Math.max(first + DAYS_SHOWN - 1, dayOf(table.collect))
  const loads = loadByDay(table, workshop!.settings.day, misfits, first, last).slice(0, 2 * DAYS_SHOWN)
  const busy = loads.filter((l) => l.byOrder.length > 0)
  const chosen = busy.find((l) => l.day === day) ?? busy[0]
  const hexes = new Map(
    (days.orders ?? []).flatMap((o) => o.colours.map((c) => [`${o.id} ${c.id}`, c.hex] as const)),
  )
  const titleOf = (id: string) => table.orders.find((o) => o.id === id)?.title ?? id
  const at = (minute: number) => calendar.weekMoment(momentOf(minute))
  return (
    <>
      {misfits.length > 0 && (
        <Card
          label="It does not fit"
          title={
            <>
              <FlagMark /> Not everything fits
            </>
          }
        >
          {misfits.map((m) => (
            <p key={JSON.stringify(m)}>{misfitWords(m, table, calendar)}</p>
          ))}
        </Card>
      )}
      <div className={css.top}>
        <Card title="Load per day" aside="by order, against the hands that there are">
          <LoadChart
            loads={loads}
            titleOf={titleOf}
            dayName={(d) => calendar.shortDay(momentOf(d * DAY_MINUTES))}
          />
        </Card>
        <Card
          title="Start by"
          aside={days.leftOut > 0 ? `${counted(days.leftOut, 'order')} more are left out` : undefined}
        >
          <ul className={css.starts}>
            {[...table.orders]
              .sort((a, b) => a.from - b.from)
              .map((o) => (
                <li key={o.id}>
                  <Link to={`/orders/${o.id}/timeline`}>{o.title}</Link>
                  <span className="figure">{at(o.from)}</span>
                  <span className="quiet">fetched {at(o.collect)}</span>
                </li>
              ))}
            {(days.reply?.left ?? []).map((id) => (
              <li key={id}>
                <Link to={`/orders/${id}/pieces`}>{days.orders?.find((o) => o.id === id)?.title}</Link>
                <span className="quiet">has no plan yet</span>
              </li>
            ))}
          </ul>
        </Card>
      </div>
      {chosen && (
        <Card
          title={calendar.dayName(momentOf(chosen.day * DAY_MINUTES))}
          aside={`${formatMinutes(chosen.byOrder.reduce((s, o) => s + o.minutes, 0))} of ${formatMinutes(chosen.openMinutes)} of hands`}
          actions={
            <div className={css.days}>
              {busy.map((l) => (
                <button type="button" key={l.day} aria-pressed={l === chosen} onClick={() => setDay(l.day)}>
                  {calendar.shortDay(momentOf(l.day * DAY_MINUTES))}
                  {l.tooMuch > 0 && <FlagMark />}
                </button>
              ))}
            </div>
          }
        >
          <Bands
            table={table}
            now={days.now}
            view={spanOf(table, chosen.day)}
            openId={openId}
            open={(t) => setOpenId(t ? `${t.orderId} ${t.id}` : null)}
            orderId={null}
            hexOf={(order, id) => hexes.get(`${order} ${id}`)}
            panel={(t) => <About table={table} task={t} title={titleOf(t.orderId)} at={at} />}
          />
        </Card>
      )}
      {table.cautions.length > 0 && (
        <Card title="Look to">
          <ul>
            {table.cautions.map((c) => (
              <li key={c}>{c}</li>
            ))}
          </ul>
        </Card>
      )}
    </>
  )
}

function About(props: { table: Timetable; task: TimedTask; title: string; at: (minute: number) => string }) {
  const { table, task, title, at } = props
  return (
    <section className={parts.panel} aria-label="The chosen task">
      <h3>{taskWords(task)}</h3>
      <p className="quiet">
        {at(task.from)} to {at(task.to)} · {table.hands[task.hand]?.name} ·{' '}
        <Link to={`/orders/${task.orderId}/timeline`}>{title}</Link>
      </p>
      <p>{whyWords(table, task, at)}</p>
    </section>
  )
}

/** A day from its first task to its last, or to what is fetched then. */
function spanOf(table: Timetable, day: number): { from: number; to: number } {
  const own = table.tasks.filter((t) => dayOf(t.from) === day)
  const fetched = table.orders.filter((o) => dayOf(o.collect) === day).map((o) => o.collect + 10)
  return {
    from: Math.min(...own.map((t) => t.from)) - 8,
    to: Math.max(...own.map((t) => t.to + 8), ...fetched),
  }
}
