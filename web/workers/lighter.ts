import * as Comlink from 'comlink'
import { useEffect, useMemo, useState } from 'react'
import type { LighterChange } from '#core/lighter/change'
import type { LighterOffer, LighterVersion } from '#core/lighter/offer'
import type { OneTipLess } from '#core/lighter/oneTip'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { hire } from './hire.ts'
import type { Lightener } from './lighter.worker.ts'
import { useLatest } from './useLatest.ts'

let remote: Comlink.Remote<Lightener> | null = null

function lightener(): Comlink.Remote<Lightener> {
  remote ??= hire<Lightener>('lighter')
  return remote
}

/** An order at rest for so long is looked at, ms. */
const AT_REST_MS = 500

export interface Lighter {
  /** 0 to 1. */
  done: number
  offer: LighterOffer | null
  /** The order that the offer is for: what is taken is taken from it. */
  of: Order | null
  error: Error | null
}

/** Versions of an order, or of one of its pieces, that are less work; told as they are found. */
export function useLighter(order: Order, workshop: Workshop, pieceId: string | null): Lighter {
  const [state, setState] = useState<Lighter>({ done: 0, offer: null, of: null, error: null })
  useEffect(() => {
    let current = true
    setState((s) => ({ ...s, done: 0, error: null }))
    const timer = setTimeout(() => {
      lightener()
        .look(
          order,
          workshop,
          pieceId,
          Comlink.proxy((done: number, offer: LighterOffer | null) => {
            if (current)
              setState((s) => ({
                done,
                offer: offer ?? (s.of === order ? s.offer : null),
                of: order,
                error: null,
              }))
          }),
        )
        .catch((error: Error) => current && setState((s) => ({ ...s, error })))
    }, AT_REST_MS)
    return () => {
      current = false
      clearTimeout(timer)
    }
  }, [order, workshop, pieceId])
  return state
}

/** A version with only some of its changes, counted; the last one meanwhile. */
export function useVersion(
  order: Order,
  workshop: Workshop,
  changes: readonly LighterChange[] | null,
): LighterVersion | undefined {
  const ask = useMemo(
    () => (changes ? () => lightener().version(order, workshop, changes) : null),
    [order, workshop, changes],
  )
  return useLatest<LighterVersion>(ask).answer
}

/** Tips that the order could do without; the last answer meanwhile. */
export function useOneTip(order: Order, workshop: Workshop): OneTipLess[] | undefined {
  const ask = useMemo(() => () => lightener().oneTip(order, workshop), [order, workshop])
  return useLatest<OneTipLess[]>(ask).answer
}
