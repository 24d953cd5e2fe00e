import { describe, expect, it } from 'vitest'
import { type AmongOthers, startOf } from './amongOthers.ts'

/** Ten in the morning of some day, as a minute. */
const TEN = 10 * 60
const among = (from: number, isCurrent: boolean): AmongOthers => ({ from, isCurrent, fits: true, others: 3 })

describe('the start that is said of an order', () => {
  it('is that among all others, sooner or later than by itself, once that is known of what is on screen', () => {
    expect(startOf(TEN, among(TEN - 10, true))).toBe(TEN - 10)
    expect(startOf(TEN, among(TEN + 5, true))).toBe(TEN + 5)
  })

  it('is never later than what is on screen takes by itself while that is not known', () => {
    expect(startOf(TEN, null)).toBe(TEN)
    // twice as much was ordered a moment ago
    expect(startOf(TEN - 120, among(TEN - 10, false))).toBe(TEN - 120)
    expect(startOf(TEN, among(TEN - 10, false))).toBe(TEN - 10)
  })
})
