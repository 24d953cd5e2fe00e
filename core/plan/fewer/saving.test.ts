import { describe, expect, it } from 'vitest'
import { SAVING_KEY, savingOf, savingToDecide } from './saving.ts'

type Offer = NonNullable<Parameters<typeof savingOf>[0]>
const offer = (before: number, ...after: number[]) =>
  ({ before: { minutes: before }, choices: after.map((minutes) => ({ after: { minutes } })) }) as Offer

describe('fewer bags', () => {
  it('are a decision from a quarter of an hour on, by the best of the ways', () => {
    expect(savingOf(offer(120, 60, 110))).toBe(60)
    expect(savingOf(offer(120, 105))).toBe(15)
    expect(savingOf(offer(120, 106))).toBe(0)
  })

  it('are none where nothing is found, or nothing has been looked for yet', () => {
    expect(savingOf(offer(120))).toBe(0)
    expect(savingOf(null)).toBe(0)
  })

  it('stay left once they were left, whatever they would save by then', () => {
    expect(savingToDecide(offer(120, 60), { wavedOff: ['deep-colour colour x'] })).toBe(60)
    expect(savingToDecide(offer(120, 20), { wavedOff: [SAVING_KEY] })).toBe(0)
  })
})
