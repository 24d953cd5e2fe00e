import { describe, expect, it } from 'vitest'
import { OutOfTimeError, within } from './within.ts'

describe('work with a limit', () => {
  it('is given up, and the next one is done', () => {
    const forever = () => {
      for (;;);
    }
    expect(() => within(20, forever)).toThrow(OutOfTimeError)
    expect(within(1000, () => 6 * 7)).toBe(42)
  })

  it('throws what the work throws', () => {
    const fault = new RangeError('no such tip')
    expect(() =>
      within(1000, () => {
        throw fault
      }),
    ).toThrow(fault)
  })
})
