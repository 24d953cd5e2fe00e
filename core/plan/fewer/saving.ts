import type { Order } from '../../model/order.ts'
import type { FewerOffer } from './offer.ts'

/** A gain of so many minutes is something to decide, not a note. */
export const DECIDE_MINUTES = 15

/** What the saving is waved off by, in the order, beside the advice that is. */
export const SAVING_KEY = 'saving order fewer-bags'

/** Minutes of hands that the best of the ways to fewer bags saves, where that is worth deciding; 0 where it is not. */
export function savingOf(offer: Pick<FewerOffer, 'before' | 'choices'> | null): number {
  const best = offer?.choices[0]
  const saved = best ? offer.before.minutes - best.after.minutes : 0
  return saved >= DECIDE_MINUTES ? saved : 0
}

/** The same, unless somebody has left it as it is. */
export const savingToDecide = (
  offer: Pick<FewerOffer, 'before' | 'choices'> | null,
  { wavedOff }: Pick<Order, 'wavedOff'>,
): number => (wavedOff.includes(SAVING_KEY) ? 0 : savingOf(offer))
