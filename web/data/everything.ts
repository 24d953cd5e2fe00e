import { mutate } from 'swr'
import { reloadOrders } from './orders.ts'

/** Everything on screen is read again. */
export async function everythingAgain(): Promise<void> {
  await Promise.all([mutate(() => true), reloadOrders()])
}
