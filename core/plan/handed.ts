import { calibrationRange, type Flower } from '../model/flower.ts'
import type { Order } from '../model/order.ts'
import type { LearntHand, Workshop } from '../model/workshop.ts'

/** A name as it is compared. */
export const handName = (name: string): string => name.trim().toLowerCase()

/** A pace beyond this is no hand. */
const PACE = { least: 0.25, most: 4 }

const kept = new WeakMap<Workshop, Map<string, Workshop>>()

/**
 * A bakery as it is for the hand that pipes an order: weights and seconds of every flower times what is learnt of that hand. The same
 * object for the same hand, so that what is remembered of its flowers is found again; the bakery itself where no hand is named or known.
 */
export function handedWorkshop({ piper }: Pick<Order, 'piper'>, workshop: Workshop): Workshop {
  const hand = piper === '' ? undefined : workshop.hands.find((h) => h.name === handName(piper))
  if (!hand) return workshop
  const known = kept.get(workshop) ?? new Map<string, Workshop>()
  kept.set(workshop, known)
  const made = known.get(hand.name) ?? {
    ...workshop,
    // what it is handed to has been handed
    hands: [],
    flowers: workshop.flowers.map((f) => handedFlower(f, hand)),
  }
  known.set(hand.name, made)
  return made
}

const within = ({ least, most }: { least: number; most: number }, value: number) =>
  Math.min(most, Math.max(least, value))

function handedFlower(flower: Flower, { grams, pace }: LearntHand): Flower {
  return {
    ...flower,
    calibration: within(calibrationRange, flower.calibration * grams),
    pace: within(PACE, flower.pace * pace),
  }
}
