import * as Comlink from 'comlink'
import { useCallback, useEffect, useState } from 'react'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { BagSearch } from '#core/plan/bagOffers'
import type { Searcher } from './bags.worker.ts'

let remote: Comlink.Remote<Searcher> | null = null

function searcher(): Comlink.Remote<Searcher> {
  remote ??= Comlink.wrap<Searcher>(
    new Worker(new URL('./bags.worker.ts', import.meta.url), { type: 'module' }),
  )
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
