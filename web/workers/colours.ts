import type * as Comlink from 'comlink'
import useSWR from 'swr'
import type { BowlAnswer, BowlTask } from '#core/colour/bowl'
import type { Dye } from '#core/model/dye'
import type { IcingKind } from '#core/model/icing'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { School } from '#core/plan/schools'
import type { Bench, Ladder, Look } from './colour.worker.ts'
import { hire } from './hire.ts'

let remote: Comlink.Remote<Bench> | null = null

/** The colour bench in its worker. */
export function colourBench(): Comlink.Remote<Bench> {
  remote ??= hire<Bench>('colour')
  return remote
}

const asking = { keepPreviousData: true, revalidateOnFocus: false, revalidateIfStale: false }

/** What of the workshop a formula depends on. */
const grounds = ({ dyes, icings }: Workshop) => [
  dyes,
  icings.map((i) => [i.id, i.baseHex, i.scatter, i.deepens]),
]
/** Only that crosses to the worker. */
const slim = (workshop: Workshop): Workshop => ({ ...workshop, flowers: [], tips: [], bags: [] })

/** How bowls are mixed, in the order asked; undefined until worked out. */
export function useBowls(tasks: readonly BowlTask[], workshop: Workshop): BowlAnswer[] | undefined {
  const { data } = useSWR(
    tasks.length > 0 ? ['bowls', tasks, grounds(workshop)] : null,
    () => Promise.all(tasks.map((task) => colourBench().bowl(task, slim(workshop)))),
    asking,
  )
  return data
}

/** The schools of mixing for an order, side by side. */
export function useSchools(order: Order, workshop: Workshop, lastId: string | null) {
  const { mixing: _, title: _title, note: _note, ...rest } = order
  return useSWR<School[], Error>(
    ['schools', rest, grounds(workshop), workshop.settings, lastId],
    () => colourBench().schools(order, workshop, lastId),
    asking,
  )
}

/** How a bottle looks at rising doses. */
export function useLadder(dye: Dye, icing: IcingKind, icings: IcingKind[]): Ladder | undefined {
  const { data } = useSWR<Ladder, Error>(
    ['ladder', dye.weights, dye.dabs, dye.learnt, icing.id, icings.map((i) => [i.id, i.baseHex, i.scatter])],
    () => colourBench().ladder(dye, icing, icings),
    asking,
  )
  return data
}

/** What to do with a bowl that came out otherwise. */
export function useCorrection(look: Look | null, workshop: Workshop) {
  return useSWR(
    look ? ['correct', look, grounds(workshop)] : null,
    () => colourBench().correct(look!, slim(workshop)),
    asking,
  ).data
}
