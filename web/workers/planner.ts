import { startTransition, useEffect, useMemo, useState } from 'react'
import useSWR from 'swr'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { Chances } from '#core/plan/chances'
import type { Effect, Taught } from '#core/plan/effects'
import { hireKnowing } from './hire.ts'
import type { Planned, Planner } from './planner.worker.ts'
import { useLatest } from './useLatest.ts'

/** Plans have a thread of their own: no picture goes before the figures of what is being typed. */
const planner = hireKnowing<Planner>('planner')

/** A plan, and the order that it is of: the order on screen may be further by now. */
export type PlannedOf = Planned & { of: Order }

/** The plan of an order, recalculated in the worker whenever either changes; the last one meanwhile. */
export function usePlan(order: Order | undefined, workshop: Workshop | undefined): PlannedOf | undefined {
  const [planned, setPlanned] = useState<PlannedOf>()
  useEffect(() => {
    if (!order || !workshop) return
    let current = true
    void planner(workshop)
      .worker.plan(order)
      .then((next) => {
        // figures all over the screen follow: whoever types meanwhile goes first
        if (current) startTransition(() => setPlanned({ ...next, of: order }))
      })
    return () => {
      current = false
    }
  }, [order, workshop])
  return planned
}

/** What learnt figures did to an order. */
export function useEffects(
  order: Order | undefined,
  workshop: Workshop | undefined,
  figures: readonly Taught[] | undefined,
): Effect[] | undefined {
  const ask = useMemo(
    () => (order && workshop && figures ? () => planner(workshop).worker.effects(order, figures) : null),
    [order, workshop, figures],
  )
  return useLatest(ask).answer
}

/** An order made a thousand times, worked out anew whenever it changes; the last answer meanwhile. */
export function useChances(order: Order, workshop: Workshop): Chances | undefined {
  const ask = useMemo(() => () => planner(workshop).worker.chances(order), [order, workshop])
  return useLatest(ask).answer
}

/** Plans of several orders at once, in the order given; undefined until all are there. */
export function usePlans(orders: readonly Order[], workshop: Workshop | undefined): Planned[] | undefined {
  const hired = workshop && planner(workshop)
  return useSWR<Planned[], Error>(
    hired && orders.length > 0 ? ['plans', orders, hired.generation] : null,
    () => Promise.all(orders.map((order) => hired!.worker.plan(order))),
    { revalidateOnFocus: false, revalidateIfStale: false },
  ).data
}
