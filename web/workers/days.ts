import { useEffect, useMemo, useState } from 'react'
import type { Workshop } from '#core/model/workshop'
import { minuteOf } from '#core/timeline/clock'
import type { HandsChoice } from '#core/timeline/day'
import type { DayRemedy } from '#core/timeline/remedies'
import type { Timetable } from '#core/timeline/timetable'
import { localMoment } from '../parts/time.ts'
import type { DaysPlanner, DaysReply, MaybePlanned } from './days.worker.ts'
import { hireKnowing } from './hire.ts'
import { useLatest } from './useLatest.ts'

const planner = hireKnowing<DaysPlanner>('days')

const nowMinute = () => minuteOf(localMoment(new Date()))
const MINUTE_MS = 60_000

/** What the clock shows, as a minute of the long clock. */
export function useNow(): number {
  const [now, setNow] = useState(nowMinute)
  useEffect(() => {
    const timer = setInterval(() => setNow(nowMinute()), MINUTE_MS / 4)
    return () => clearInterval(timer)
  }, [])
  return now
}

/** The timetable of some orders as it is now; the last good one stays when no other can be made. */
export interface Days {
  reply: DaysReply | undefined
  /** The timetable, or the last one that could be made. */
  table: Timetable | undefined
  error: Error | undefined
  now: number
}

/**
 * Orders at rest for so long are placed in time, ms: soon where somebody looks at the day, and elsewhere when nobody has changed
 * anything for a while, because typing must not wait for it.
 */
const LOOKED_AT_MS = 250
const BESIDE_MS = 3000

function useAtRest<T>(value: T, ms: number): T | undefined {
  const [rested, setRested] = useState<T>()
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms)
    return () => clearTimeout(timer)
  }, [value, ms])
  return rested
}

/** @param lookedAt whether the day itself is on screen. */
export function useDays(
  orders: readonly MaybePlanned[] | undefined,
  workshop: Workshop | undefined,
  lookedAt: boolean,
): Days {
  const now = useNow()
  const rested = useAtRest(orders, lookedAt ? LOOKED_AT_MS : BESIDE_MS)
  const ask = useMemo(
    () => (rested && workshop ? () => planner(workshop).worker.answer(rested, now) : null),
    [rested, workshop, now],
  )
  const { answer: reply, error } = useLatest<DaysReply>(ask)
  const [table, setTable] = useState<Timetable>()
  useEffect(() => {
    if (reply?.table) setTable(reply.table)
  }, [reply])
  return { reply, table: reply?.table ?? table, error, now }
}

/** The same with other numbers of hands, and what would make it fit; worked out where somebody looks. */
export function useDayChoices(orders: readonly MaybePlanned[] | undefined, workshop: Workshop, now: number) {
  const rested = useAtRest(orders, LOOKED_AT_MS)
  const ask = useMemo(
    () =>
      rested
        ? async () => {
            const days = planner(workshop).worker
            return { remedies: await days.remedies(rested, now), hands: await days.hands(rested, now) }
          }
        : null,
    [rested, workshop, now],
  )
  return useLatest<{ remedies: DayRemedy[]; hands: HandsChoice[] }>(ask).answer
}
