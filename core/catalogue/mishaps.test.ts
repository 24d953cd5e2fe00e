import { expect, it } from 'vitest'
import { stepKindSchema } from '../model/bench.ts'
import { mishaps, mishapsFor } from './mishaps.ts'

it('what goes wrong is found by its look, its cause or its cure; that of the step comes first', () => {
  const ids = (search: string, at: Parameters<typeof mishapsFor>[1] = null) =>
    mishapsFor(search, at).map((m) => m.id)
  expect(ids('tail')).toContain('points-on-dots')
  expect(ids('damp BRUSH hump')).toEqual(['heaps'])
  expect(ids('no such thing')).toEqual([])
  for (const at of stepKindSchema.options) {
    const all = mishapsFor('', at)
    expect(new Set(all)).toEqual(new Set(mishaps))
    const here = all.map((m) => m.at.includes(at))
    expect(here).toEqual([...here].sort((a, b) => Number(b) - Number(a)))
  }
  expect(ids('', 'fill')[0]).not.toBe(ids('', 'place')[0])
})

it('every mishap says all that somebody with icing on both hands has to know, each in a sentence', () => {
  expect(new Set(mishaps.map((m) => m.id)).size).toBe(mishaps.length)
  for (const { cause, now, next, fine, at } of mishaps) {
    for (const words of [cause, now, next, ...(fine === null ? [] : [fine])])
      expect(words).toMatch(/^[A-Z].*\.$/)
    expect(at.length).toBeGreaterThan(0)
  }
})
