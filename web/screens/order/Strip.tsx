import { memo } from 'react'
import { NavLink } from 'react-router'
import type { Plan } from '#core/model/plan'
import { sortAdvice } from '#core/plan/advice/grouped'
import { bagCount } from '#core/plan/counts'
import { momentOf } from '#core/timeline/clock'
import { counted, formatMinutes, formatWeight } from '#core/units'
import { startOf } from '../../data/amongOthers.ts'
import { useOrderEditor } from '../../data/orderEditor.tsx'
import { useRuns } from '../../data/runs.ts'
import { useCalendar } from '../../parts/calendar.ts'
import { FlagMark } from '../../parts/FlagMark.tsx'
import { stopOf } from './advice/stops.ts'
import type { OrderDays } from './orderDays.ts'
import css from './Strip.module.css'

/** The stops of the line of work by their addresses, in order. */
export const stopNames = {
  brief: 'Brief',
  pieces: 'Pieces',
  colours: 'Colours',
  bags: 'Bags',
  icing: 'Icing',
  timeline: 'Timeline',
  bench: 'Bench',
  advice: 'Advice',
} as const

/**
 * The line of work: the way through an order, and at each stop its one number and whether it wants a decision.
 * @param saving whether fewer bags would save enough to be decided.
 */
export function Strip({ days, saving }: { days: OrderDays; saving: boolean }) {
  const { order, plan, before, workshop } = useOrderEditor()
  const { shortMoment, weekMoment } = useCalendar()
  const { data: runs } = useRuns()
  const weight = (grams: number) => formatWeight(grams, workshop.settings.units)
  const figures = (p: Plan): Record<string, string> => ({
    pieces: counted(p.totals.pieces, 'piece'),
    colours: counted(p.colours.filter((c) => c.grams > 0).length, 'colour'),
    bags: bagWords(p),
    icing: weight(p.totals.mixedGrams),
  })
  const now = plan ? figures(plan) : {}
  const then = before ? figures(before) : {}
  const advice = plan && sortAdvice(plan.advice, order.wavedOff)
  const toDecide = advice?.decide.flatMap((g) => g.advice) ?? []
  const decisions = toDecide.length + (saving ? 1 : 0)
  const stops: { to: keyof typeof stopNames; figure: string | undefined; note?: string | undefined }[] = [
    { to: 'brief', figure: shortMoment(order.collectAt) },
    { to: 'pieces', figure: now.pieces },
    { to: 'colours', figure: now.colours },
    { to: 'bags', figure: now.bags },
    { to: 'icing', figure: now.icing },
    { to: 'timeline', figure: startWords(days, weekMoment), note: handsWords(days) },
    {
      to: 'bench',
      figure: runs && (runs.some((r) => r.orderId === order.id) ? 'being worked' : 'not begun'),
    },
    {
      to: 'advice',
      figure: advice && (decisions > 0 ? `${decisions} to decide` : 'none to decide'),
      note: advice && counted(advice.notes.length, 'note'),
    },
  ]
  return (
    <nav aria-label="Line of work" className={css.strip}>
      {stops.map(({ to, figure, note }) => {
        const wants =
          toDecide.some((a) => stopOf[a.about.kind] === to) ||
          (to === 'timeline' && wantsDecision(days)) ||
          (to === 'bags' && saving)
        const was = then[to]
        return (
          <Stop
            key={to}
            to={to}
            figure={figure}
            wants={wants}
            below={was !== undefined && was !== figure ? `was ${was}` : (note ?? '\u00a0')}
          />
        )
      })}
    </nav>
  )
}

/** One stop; most stay as they are while the order is edited. */
const Stop = memo(function Stop(props: {
  to: keyof typeof stopNames
  figure: string | undefined
  wants: boolean
  below: string
}) {
  const { to, figure, wants, below } = props
  return (
    <NavLink to={to} className={css.stop}>
      <span className={css.name}>
        {stopNames[to]}
        {wants && (
          <span className={css.wants}>
            <FlagMark /> decide
          </span>
        )}
      </span>
      <span className={`${css.figure} figure`}>{figure ?? '…'}</span>
      <span className={css.was}>{below}</span>
    </NavLink>
  )
})

/** When work begins at the latest, among all other orders. */
function startWords({ table, among }: OrderDays, weekMoment: (at: string) => string): string | undefined {
  if (!table) return undefined
  return table.tasks.length === 0 ? 'nothing yet' : weekMoment(momentOf(startOf(table.from, among)))
}

/** More than the icing alone takes: preparing, boxing and washing up are in it. */
const handsWords = ({ table }: OrderDays) =>
  table && table.tasks.length > 0
    ? `start; ${formatMinutes(table.handsOnMinutes)} of hands in all`
    : undefined

const wantsDecision = ({ reply, among }: OrderDays) =>
  reply !== undefined &&
  (reply.faults.length > 0 || reply.misfits.length > 0 || (among?.isCurrent === true && !among.fits))

/** Bags from the drawer; in a chain of colours, how often they are filled. */
function bagWords({ bags, totals }: Plan): string {
  const taken = bagCount(bags)
  return taken < bags.length
    ? `${counted(taken, 'bag')}, filled ${bags.length}×`
    : `${counted(taken, 'bag')} · ${counted(totals.changes, 'change')}`
}
