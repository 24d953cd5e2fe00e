import * as Comlink from 'comlink'
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { BagSearch } from '#core/plan/bagOffers'
import type { FewerOffer } from '#core/plan/fewer/offer'
import type { OtherWays } from '#core/plan/fewer/otherWays'
import type { Searcher } from './bags.worker.ts'
import { hire } from './hire.ts'

let remote: Comlink.Remote<Searcher> | null = null

function searcher(): Comlink.Remote<Searcher> {
  remote ??= hire<Searcher>('bags')
  return remote
}

/** The search for better bags: started and stopped by hand, told of as it goes; let go when the page is left. */
export function useBagSearch(order: Order, workshop: Workshop) {
  const [state, setState] = useState<BagSearch | null>(null)
  const [running, setRunning] = useState(false)
  const stop = useCallback(() => {
    void searcher().stop()
    setRunning(false)
  }, [])
  const start = useCallback(() => {
    setState(null)
    setRunning(true)
    void searcher()
      .search(order, workshop, Comlink.proxy(setState))
      .then((finished) => {
        if (finished) setRunning(false)
      })
  }, [order, workshop])
  useEffect(
    () => () => {
      void searcher().stop()
    },
    [],
  )
  return { state, running, start, stop }
}

/** An order at rest for so long is looked at, ms: nobody waits for it, and typing must not. */
const AT_REST_MS = 900

interface Found {
  of: Order
  with: Workshop
  offer: FewerOffer & OtherWays
}
/** What was found last: it is worked out once, whichever screens ask for it. */
let found: Found | null = null
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** What is left as it is, or said of an order, changes nothing of its bags. */
const ASIDE = new Set<keyof Order>(['wavedOff', 'title', 'customer', 'note'])
const isOf = (one: Found | null, order: Order, workshop: Workshop): one is Found =>
  one !== null &&
  one.with === workshop &&
  (Object.keys(order) as (keyof Order)[]).every((key) => ASIDE.has(key) || one.of[key] === order[key])

/**
 * Whether fewer bags and tips would do, looked for whenever the order has been at rest; null meanwhile.
 * @param atRestMs how long it rests before: whoever does not look at it can wait.
 */
export function useFewer(
  order: Order,
  workshop: Workshop,
  atRestMs = AT_REST_MS,
): { offer: (FewerOffer & OtherWays) | null; error: Error | null } {
  const last = useSyncExternalStore(subscribe, () => found)
  const [error, setError] = useState<Error | null>(null)
  useEffect(() => {
    setError(null)
    const timer = setTimeout(() => {
      if (isOf(found, order, workshop)) return
      searcher()
        .fewer(order, workshop)
        .then((offer) => {
          if (!offer) return
          found = { of: order, with: workshop, offer }
          for (const listener of listeners) listener()
        }, setError)
    }, atRestMs)
    return () => clearTimeout(timer)
  }, [order, workshop, atRestMs])
  return { offer: isOf(last, order, workshop) ? last.offer : null, error }
}
