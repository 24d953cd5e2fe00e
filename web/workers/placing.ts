import type * as Comlink from 'comlink'
import useSWR from 'swr'
import type { Order, Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { PlacedKind } from '#core/placing/placedKinds'
import { hireKnowing } from './hire.ts'
import type { Placing } from './placing.worker.ts'

const hired = hireKnowing<Placing>('placing')

/** The worker that places and judges, with this workshop loaded. */
export const placing = (workshop: Workshop): Comlink.Remote<Placing> => hired(workshop).worker

/** The flowers of a piece as placing and drawing need them; the last answer while they are worked out anew. */
export function useKinds(order: Order, piece: Piece, workshop: Workshop): PlacedKind[] | undefined {
  const { worker, generation } = hired(workshop)
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
