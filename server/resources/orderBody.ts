import type { Request } from 'express'
import { type CheckedOrder, checkOrder } from '../check/order.ts'
import { checkLargeOrder, isLarge } from '../check/pool.ts'
import { sound, textOf } from '../http/body.ts'
import type { CurrentWorkshop } from '../workshop/current.ts'

/** The order in a request's body, fit to be stored. @throws ProblemError with a pointer to each field at fault. */
export async function orderOf(req: Request, { workshop, shared }: CurrentWorkshop): Promise<CheckedOrder> {
  const text = textOf(req)
  return sound(isLarge(text) ? await checkLargeOrder(text, shared) : checkOrder(text, workshop))
}
