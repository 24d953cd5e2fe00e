import { describe, expect, it } from 'vitest'
import { measureTube } from '../geometry/tube.ts'
import { openingArea } from '../tips/index.ts'
import { type Stroke, strokeSchema } from './index.ts'
import { measureStroke, traceStroke } from './quantities.ts'

const round = { family: 'round' as const, diameterMm: 2 }
const at = { ringMm: 30, heightMm: 0, azimuth: 0 }
const volume = (stroke: object) => measureStroke(strokeSchema.parse(stroke), at, round).volumeMm3

/** Length of a swinging line by 40,000 chords, written out here from what the stroke says it is. */
function swungLength(lengthMm: number, ampMm: number, waves: number): number {
  let length = 0
  for (let i = 0; i < 40_000; i++) {
    const y = (t: number) => ampMm * Math.sin(2 * Math.PI * waves * t)
    length += Math.hypot(lengthMm / 40_000, y((i + 1) / 40_000) - y(i / 40_000))
  }
  return length
}

describe('a waved stroke', () => {
  it.each([1, 16, 31, 32, 48, 60])('weighs what its true length does: %d waves', (waves) => {
    const wanted = swungLength(120, 4, waves) * Math.PI
    expect(volume({ kind: 'vine', lengthMm: 120, waveMm: 4, waves }) / wanted).toBeCloseTo(1, 2)
  })

  it('takes the time of its true length', () => {
    const one = strokeSchema.parse({ kind: 'vine', lengthMm: 120, waveMm: 4, waves: 32 })
    expect(measureStroke(one, at, round).seconds).toBeCloseTo(0.8 + swungLength(120, 4, 32) / 35, 0)
  })

  it('weighs more with every wave that is added', () => {
    const all = Array.from({ length: 120 }, (_, i) => volume({ kind: 'zigzag', ampMm: 3, waves: i + 1 }))
    for (let i = 1; i < all.length; i++) expect(all[i]).toBeGreaterThan(all[i - 1]!)
  })
})

describe('every stroke with figures that repeat', () => {
  const repeating: object[] = [
    { kind: 'zigzag', ampMm: 5, waves: 64 },
    { kind: 'zigzag', ampMm: 15, waves: 120 },
    { kind: 'vine', lengthMm: 40, waveMm: 8, waves: 60, turnDeg: 360 },
    { kind: 'rosette', outerMm: 30, turns: 8 },
    { kind: 'rosette', outerMm: 40, turns: 8, riseMm: 80 },
    { kind: 'beadTrail', lengthMm: 200, beads: 60 },
  ]
  it.each(repeating)('is measured as finely as it needs: $kind', (figures) => {
    const stroke: Stroke = strokeSchema.parse(figures)
    const trace = traceStroke(stroke, at, round)
    if (trace.primitive !== 'tube') throw new Error('a tube was expected')
    const fine = measureTube(trace.path, openingArea(round), trace.flow, 50_000).volumeMm3
    expect(Math.abs(volume(figures) / fine - 1)).toBeLessThan(0.01)
  })
})
