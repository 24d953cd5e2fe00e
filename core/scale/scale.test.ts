import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { LineReader, readLine } from './lines.ts'
import { fillOf, STEADY_MS, Steady } from './steady.ts'

describe('a line of a scale', () => {
  it.each([
    ['ST,GS,+  123.4,g', 123.4, true],
    ['US,NT,-   12.0,g', -12, false],
    ['S     0.50 kg', 500, true],
    ['SD   31.2 g', 31.2, false],
    ['ST,GS,+00002.00,oz', 56.699, true],
    ['ST,+1,lb', 453.592, true],
  ])('%s is %f g', (text, grams, stable) => {
    const line = readLine(text)
    expect(line.kind).toBe('reading')
    if (line.kind === 'reading') {
      expect(line.reading.grams).toBeCloseTo(grams, 3)
      expect(line.reading.stable).toBe(stable)
    }
  })
  it('that is over its load, or no weight, is not taken for one', () => {
    expect(readLine('OL,GS,+9999.9,g').kind).toBe('overload')
    for (const text of ['', 'TARE OK', 'ST,GS,+12.3', 'ST,GS,abc,g', 'ST,GS,+1e9,g', '12.3 g'])
      expect(readLine(text).kind).toBe('other')
  })
  it('is whole however the wire cuts it up, and noise without an end does not pile up', () => {
    const lines = ['ST,GS,+1.0,g', 'US,GS,+22.5,g', 'ST,GS,+22.4,g']
    const text = lines.map((l) => `${l}\r\n`).join('')
    fc.assert(
      fc.property(fc.array(fc.nat(text.length), { maxLength: 20 }), (cuts) => {
        const reader = new LineReader()
        const at = [0, ...cuts.sort((a, b) => a - b), text.length]
        const heard = at.slice(1).flatMap((to, i) => reader.take(text.slice(at[i], to)))
        expect(heard).toEqual(lines)
      }),
    )
    const reader = new LineReader()
    for (let i = 0; i < 1000; i++) expect(reader.take('x'.repeat(100))).toEqual([])
    expect(reader.take('\nST,GS,+1.0,g\n').at(-1)).toBe('ST,GS,+1.0,g')
  })
})

describe('a weight at rest', () => {
  it('is one that the scale calls so and that has stayed for a while', () => {
    const steady = new Steady(1)
    const at = (ms: number, grams: number, stable = true) => steady.hear({ grams, stable }, ms)
    expect(at(0, 100)).toBeNull()
    expect(at(STEADY_MS - 1, 100)).toBeNull()
    // a spoonful more
    expect(at(STEADY_MS, 104)).toBeNull()
    expect(at(STEADY_MS + 100, 104, false)).toBeNull()
    expect(at(STEADY_MS + 200, 104)).toBeNull()
    expect(at(2 * STEADY_MS + 100, 104.5)).toBeNull()
    expect(at(2 * STEADY_MS + 200, 104.5)).toBe(104.5)
  })
  it('is enough within a step or a hundredth, whichever is more', () => {
    expect(fillOf(99, 100, 1).state).toBe('there')
    expect(fillOf(98.9, 100, 1)).toMatchObject({ state: 'under', gap: expect.closeTo(1.1) })
    expect(fillOf(1011, 1000, 1)).toMatchObject({ state: 'over', gap: 11 })
    expect(fillOf(1010, 1000, 1).state).toBe('there')
    expect(fillOf(-3, 100, 1).share).toBe(0)
  })
})
