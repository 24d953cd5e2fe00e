import { describe, expect, it } from 'vitest'
import type { Slot } from '../tips/family.ts'
import { type LayerLoad, loadDefinition, loadOfKind, loadRoles, loads } from './index.ts'

const even: Slot = { lengthMm: 10, bendDeg: 0, widthAt: () => 1 }
const tapered: Slot = { lengthMm: 10, bendDeg: 0, widthAt: (u) => 2 - u }
const kinds = Object.keys(loads) as (keyof typeof loads)[]
const shares = (load: LayerLoad, slot: Slot | null) =>
  Object.fromEntries(
    loadDefinition(load.kind)
      .shares(load, slot)
      .map((s) => [s.role, s.share]),
  )

describe('the icing of a loaded bag', () => {
  it.each(kinds)('is all given to its colours when it is %s', (kind) => {
    const load = loadOfKind(kind, { kind: 'plain', role: 'a' }, ['a', 'b'])
    for (const slot of [null, even, tapered]) {
      const given = loadDefinition(kind).shares(load, slot)
      expect(given.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 12)
      expect(given.map((s) => s.role)).toEqual(loadRoles(load))
    }
  })

  it('divides in a striped bag as the opening does: 7/12 before the middle of a slot from 2 mm to 1 mm', () => {
    const load: LayerLoad = { kind: 'striped', wideEnd: 'a', rest: 'b', border: 0.5 }
    expect(shares(load, tapered).a).toBeCloseTo(7 / 12, 4)
    expect(shares(load, even).a).toBeCloseTo(0.5, 10)
    expect(shares(load, null)).toEqual({ a: 0.5, b: 0.5 })
  })

  it('divides evenly in a layered bag and in halves, and as given where a filling is left behind', () => {
    expect(shares({ kind: 'layered', tones: ['a', 'b', 'c'] }, even).b).toBeCloseTo(1 / 3, 12)
    expect(shares({ kind: 'halves', inner: 'a', outer: 'b' }, tapered)).toEqual({ a: 0.5, b: 0.5 })
    expect(shares({ kind: 'leftBehind', first: 'a', next: 'b', share: 0.12 }, even)).toEqual({
      a: 0.12,
      b: 0.88,
    })
  })
})

describe('loading the bag another way', () => {
  it.each(kinds)('keeps the main colour when it becomes %s', (kind) => {
    const from: LayerLoad = { kind: 'striped', wideEnd: 'a', rest: 'b', border: 0.3 }
    expect(loadRoles(loadOfKind(kind, from, ['a', 'b', 'c'])).at(-1)).toBe('b')
  })

  it('turns the tip only where the slot has a wide end', () => {
    const turned = kinds.filter((kind) => loadDefinition(kind).fixesTip(even))
    expect(turned).toEqual(['striped', 'halves'])
    expect(kinds.some((kind) => loadDefinition(kind).fixesTip(null))).toBe(false)
  })
})
