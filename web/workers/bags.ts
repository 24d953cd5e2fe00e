import * as Comlink from 'comlink'
import { useCallback, useEffect, useState } from 'react'
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

/** Whether fewer bags and tips would do, looked for whenever the order has been at rest; null meanwhile. */
export function useFewer(
  order: Order,
  workshop: Workshop,
): { offer: (FewerOffer & OtherWays) | null; error: Error | null } {
  const [found, setFound] = useState<{ of: Order; offer: FewerOffer & OtherWays } | null>(null)
  const [error, setError] = useState<Error | null>(null)
  useEffect(() => {
    setError(null)
    const timer = setTimeout(() => {
      searcher()
        .fewer(order, workshop)
        .then((offer) => offer && setFound({ of: order, offer }), setError)
    }, AT_REST_MS)
    return () => clearTimeout(timer)
  }, [order, workshop])
  return { offer: found?.of === order ? found.offer : null, error }
}
