import { type Wish, wishSchema } from '../model/order.ts'
import type { Dot } from '../surfaces/outline.ts'

/**
 * A picture made larger or smaller about the first of two points, until they are as far apart as they really are.
 * @returns the picture, or what is wrong with that, in words.
 */
export function scaledWish(wish: Wish, [from, to]: readonly [Dot, Dot], reallyMm: number): Wish | string {
  const nowMm = Math.hypot(to.x - from.x, to.y - from.y)
  if (nowMm < LEAST_APART_MM) return 'The two points are one and the same: press two that are apart.'
  const by = reallyMm / nowMm
  const parsed = wishSchema.safeParse({
    ...wish,
    x: from.x + (wish.x - from.x) * by,
    y: from.y + (wish.y - from.y) * by,
    widthMm: wish.widthMm * by,
  })
  return parsed.success
    ? parsed.data
    : `The picture would be too large or too small: ${parsed.error.issues[0]?.message}`
}

const LEAST_APART_MM = 1
