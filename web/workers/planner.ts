import type * as Comlink from 'comlink'
import { startTransition, useEffect, useMemo, useState } from 'react'
import useSWR from 'swr'
import type { Fitting } from '#core/flowers/resolve'
import type { Flower } from '#core/model/flower'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { Chances } from '#core/plan/chances'
import type { Effect, Taught } from '#core/plan/effects'
import { hire } from './hire.ts'
import type { Picture, Planned, Planner } from './planner.worker.ts'
import { useLatest } from './useLatest.ts'

let remote: Comlink.Remote<Planner> | null = null
let sent: Workshop | null = null
let generation = 0

/** The planner, with this workshop loaded. Messages to a worker arrive in order, so nothing needs to be awaited. */
function planner(workshop: Workshop): Comlink.Remote<Planner> {
  remote ??= hire<Planner>('planner')
  if (sent !== workshop) {
    sent = workshop
    generation += 1
    void remote.setWorkshop(workshop)
  }
  return remote
}

/** A plan, and the order that it is of: the order on screen may be further by now. */
export type PlannedOf = Planned & { of: Order }

/** The plan of an order, recalculated in the worker whenever either changes; the last one meanwhile. */
export function usePlan(order: Order | undefined, workshop: Workshop | undefined): PlannedOf | undefined {
  const [planned, setPlanned] = useState<PlannedOf>()
  useEffect(() => {
    if (!order || !workshop) return
    let current = true
    void planner(workshop)
      .plan(order)
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
    () => (order && workshop && figures ? () => planner(workshop).effects(order, figures) : null),
    [order, workshop, figures],
  )
  return useLatest(ask).answer
}

/** An order made a thousand times, worked out anew whenever it changes; the last answer meanwhile. */
export function useChances(order: Order, workshop: Workshop): Chances | undefined {
  const ask = useMemo(() => () => planner(workshop).chances(order), [order, workshop])
  return useLatest(ask).answer
}

/** Plans of several orders at once, in the order given; undefined until all are there. */
export function usePlans(orders: readonly Order[], workshop: Workshop | undefined): Planned[] | undefined {
  const remote = workshop ? planner(workshop) : null
  return useSWR<Planned[], Error>(
    remote && orders.length > 0 ? ['plans', orders, generation] : null,
    () => Promise.all(orders.map((order) => remote!.plan(order))),
    { revalidateOnFocus: false, revalidateIfStale: false },
  ).data
}

/** A flower that is being changed, fitted and measured in the worker as it changes; the last answer meanwhile. */
export function useDraftPicture(flower: Flower | undefined, workshop: Workshop | undefined) {
  const ask = useMemo(
    () => (flower && workshop ? () => planner(workshop).studied(flower, { sizeMm: null, tips: {} }) : null),
    [flower, workshop],
  )
  const { answer: picture, error } = useLatest<Picture>(ask)
  return { picture, error }
}

/** How wide one floret of a flower is by itself, mm, as the flower changes; undefined until it is known. */
export function useFloretWidth(flower: Flower, id: string, workshop: Workshop): number | undefined {
  const ask = useMemo(() => () => planner(workshop).floretWidth(flower, id), [flower, id, workshop])
  return useLatest<number>(ask).answer
}

/** The layers of a floret made so wide. */
export const resizedFloret = (flower: Flower, id: string, wideMm: number, workshop: Workshop) =>
  planner(workshop).resizedFloret(flower, id, wideMm)

/** A flower from above, from the worker; kept as long as flower, fitting and workshop stay the same. */
export function usePicture(
  flower: Flower | undefined,
  fitting: Fitting,
  workshop: Workshop | undefined,
): { picture: Picture | undefined; error: Error | undefined } {
  const remote = workshop ? planner(workshop) : null
  const { data, error } = useSWR<Picture, Error>(
    flower && remote ? ['picture', drawnKey(flower, fitting), generation] : null,
    () => remote!.picture(flower!, fitting),
    { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false },
  )
  return { picture: data, error }
}

/** What a picture hangs on: an order may leave layers of a recipe out, or load them with two colours. */
const drawnKey = ({ id, layers }: Flower, { sizeMm, tips }: Fitting) => [
  id,
  layers.map((l) => [l.id, l.load]),
  sizeMm,
  tips,
]

/** Several flowers from above at once, in the order given; undefined until all are there. */
export function usePictures(
  wanted: readonly (Fitting & { flower: Flower })[],
  workshop: Workshop | undefined,
): Picture[] | undefined {
  const remote = workshop ? planner(workshop) : null
  const key = wanted.map((w) => drawnKey(w.flower, w))
  const { data } = useSWR<Picture[], Error>(
    remote ? ['pictures', key, generation] : null,
    () => Promise.all(wanted.map((w) => remote!.picture(w.flower, { sizeMm: w.sizeMm, tips: w.tips }))),
    { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false },
  )
  // while a flower is added, the last answer is one short
  return data?.length === wanted.length ? data : undefined
}
