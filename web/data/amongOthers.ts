import { useDebouncedValue } from '@mantine/hooks'
import { useMemo, useSyncExternalStore } from 'react'
import type { Order } from '#core/model/order'
import { minuteOf } from '#core/timeline/clock'
import type { DocumentSync } from './documentSync.ts'
import { useStarts } from './starts.ts'

/** An order that was saved is placed among the others when nothing has been saved for so long, ms: typing goes first. */
const RESTS_MS = 3000

/** An order among the others of the coming days. */
export interface AmongOthers {
  /** When it has to be begun, a minute of the long clock. */
  from: number
  fits: boolean
  /** How many others have work in these days. */
  others: number
  /** Whether that is of the order as it is on screen, or as it was saved before. */
  isCurrent: boolean
}

/**
 * Where an order that is being edited stands among the others, by what was last saved of it; null where it is not one of the coming days.
 * @param wanted whether anybody is told yet: what is on screen by then is worked out first.
 */
export function useAmongOthers(
  orderId: string,
  sync: DocumentSync<Order>,
  wanted: boolean,
): AmongOthers | null {
  const version = useSyncExternalStore(sync.subscribe, () => sync.version)
  const isSettled = useSyncExternalStore(sync.subscribe, () => sync.isSettled)
  const saved = `${orderId} ${version}`
  const [rested] = useDebouncedValue(saved, RESTS_MS)
  const starts = useStarts(wanted ? rested : null)
  return useMemo(() => {
    const own = starts.of.get(orderId)
    if (!own) return null
    const isCurrent = starts.isCurrent && isSettled && rested === saved
    return { from: minuteOf(own.from), fits: own.fits, others: starts.of.size - 1, isCurrent }
  }, [starts, orderId, isSettled, rested, saved])
}

/**
 * When an order has to be begun, as every screen says it: among all others. Until that is known of what is on screen, it is the
 * sooner of what it was before and what the order takes by itself.
 * @param alone when it has to be begun by itself, a minute of the long clock.
 */
export function startOf(alone: number, among: AmongOthers | null): number {
  if (!among) return alone
  return among.isCurrent ? among.from : Math.min(among.from, alone)
}
