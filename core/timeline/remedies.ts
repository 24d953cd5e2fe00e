import { type DaySettings, MOST_HANDS } from '../model/day.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { STORES } from './activity.ts'
import { DAY_MINUTES, momentOf } from './clock.ts'
import { type Misfit, misfits } from './misfits.ts'
import type { OrderWork } from './problem.ts'
import { type Solved, solve } from './solve.ts'
import { timetable } from './timetable.ts'

/** Something that makes a timetable fit, or nearly: a change to the bakery's day, or to when an order may be begun. */
export interface DayRemedy {
  label: string
  change:
    | { kind: 'day'; day: Partial<DaySettings> }
    | { kind: 'notBefore'; orderId: string; at: string }
    | { kind: 'letGo'; orderId: string }
  /** When work would begin with it, and what would still not fit. */
  from: number
  fits: boolean
}

/** A change that helps by less than this is not worth its trouble, min. */
const WORTH_MINUTES = 10
/** Trays are added up to so many, and starts put forward by up to so many days, until it fits. */
const MOST_TRAYS = 6
const MOST_DAYS = 7
const HOUR = 60

/** What would make work fit that does not, each tried: one more pair of hands, an hour more, a shelf more, a day earlier. */
export function remedies(
  works: readonly OrderWork[],
  workshop: Workshop,
  now: number | null,
  solved: Solved,
): DayRemedy[] {
  const { day } = workshop.settings
  const before = look(solved, works, workshop, now)
  if (before.misfits.length === 0) return []
  const found: DayRemedy[] = []
  const tryDay = (label: string, change: Partial<DaySettings>): boolean => {
    const next = solve(works, workshop, { ...day, ...change }, undefined, [solved])
    const after = look(next, works, workshop, now)
    const fits = after.misfits.length === 0
    if (fits || after.from >= before.from + WORTH_MINUTES)
      found.push({ label, change: { kind: 'day', day: change }, from: after.from, fits })
    return fits
  }
  const late = before.misfits.filter((m) => m.kind === 'late')
  if (late.length > 0) {
    if (day.hands.length < MOST_HANDS)
      tryDay('One more pair of hands', {
        hands: [...day.hands, { name: `Hands ${day.hands.length + 1}`, pipes: true }],
      })
    tryDay('Close an hour later', { week: longer(day.week, 0, HOUR) })
    tryDay('Open an hour earlier', { week: longer(day.week, HOUR, 0) })
  }
  for (const { orderId, from, notBefore, isNow } of late.flatMap((m) => (m.kind === 'late' ? [m] : []))) {
    if (isNow) continue
    const days = Math.ceil((notBefore - from) / DAY_MINUTES)
    const at = notBefore - days * DAY_MINUTES
    if (days <= MOST_DAYS && (now === null || from >= now))
      found.push({
        label: days === 1 ? 'Start the day before' : `Start ${days} days before`,
        change: { kind: 'notBefore', orderId, at: momentOf(at) },
        from,
        fits: before.misfits.length === 1,
      })
  }
  for (const store of STORES) {
    const full = before.misfits.find((m) => m.kind === 'full' && m.store === store)
    if (!full) continue
    const key = `${store}Trays` as const
    for (let more = 1; more <= MOST_TRAYS; more++)
      if (tryDay(trayWords(store, more), { [key]: day[key] + more })) break
  }
  for (const { order } of works)
    if (order.settled.starts.length + order.settled.orders.length > 0) {
      const free = solve(works, workshop, day, (o) => (o === order ? freed(o) : o.settled), [])
      const after = look(free, works, workshop, now)
      const fits = after.misfits.length === 0
      if (fits || after.from >= before.from + WORTH_MINUTES)
        found.push({
          label: `Let go of the locks of ${order.title}`,
          change: { kind: 'letGo', orderId: order.id },
          from: after.from,
          fits,
        })
    }
  // of trays, only so many as it takes
  const best = found.filter((r, i) => r.fits || !found.some((o, k) => k > i && isTrays(o) && isTrays(r)))
  return best.sort((a, b) => Number(b.fits) - Number(a.fits))
}

const isTrays = (r: DayRemedy) => r.change.kind === 'day' && Object.keys(r.change.day)[0]!.endsWith('Trays')
const freed = (o: Order): Order['settled'] => ({ ...o.settled, starts: [], orders: [] })

function trayWords(store: (typeof STORES)[number], more: number): string {
  const where = { freezer: 'in the freezer', fridge: 'in the fridge', rack: 'on the rack' }[store]
  return `${more === 1 ? 'One more tray' : `${more} more trays`} ${where}`
}

function look(solved: Solved, works: readonly OrderWork[], workshop: Workshop, now: number | null) {
  const table = timetable(solved, works, workshop)
  const found: Misfit[] = misfits(table, works, now)
  return { from: table.from, misfits: found }
}

/** Every open day longer by so many minutes at its ends, as far as a day goes. */
function longer(week: DaySettings['week'], sooner: number, later: number): DaySettings['week'] {
  return week.map((h) => h && { from: Math.max(0, h.from - sooner), to: Math.min(DAY_MINUTES, h.to + later) })
}
