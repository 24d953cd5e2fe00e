import type * as Comlink from 'comlink'
import useSWR from 'swr'
import type { Order, Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { PlacedKind } from '#core/placing/placedKinds'
import { hire } from './hire.ts'
import type { Placing } from './placing.worker.ts'

let remote: Comlink.Remote<Placing> | null = null
let sent: Workshop | null = null
let generation = 0

/** The worker that places and judges, with this workshop loaded. */
export function placing(workshop: Workshop): Comlink.Remote<Placing> {
  remote ??= hire<Placing>('placing')
  if (sent !== workshop) {
    sent = workshop
    generation += 1
    void remote.setWorkshop(workshop)
  }
  return remote
}

/** The flowers of a piece as placing and drawing need them; the last answer while they are worked out anew. */
export function useKinds(order: Order, piece: Piece, workshop: Workshop): PlacedKind[] | undefined {
  const worker = placing(workshop)
  const { flowers, setOns, icingKindId } = piece
  return useSWR<PlacedKind[], Error>(
    [
      ...['kinds', flowers, setOns, icingKindId],
      ...[order.colours, order.setOns, order.icingKindId, generation],
    ],
    () => {
      const { colours, icingKindId: own, setOns: things } = order
      return worker.kinds({ colours, icingKindId: own, setOns: things }, { flowers, setOns, icingKindId })
    },
    { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false },
  ).data
}
