import { expect, it } from 'vitest'
import { termIds, termOf } from './terms.ts'

it('explains every word in a sentence that stands by itself, and says what it is for', () => {
  const names = termIds.map((id) => termOf(id).name)
  expect(new Set(names).size).toBe(names.length)
  for (const id of termIds) {
    const { says, why, name } = termOf(id)
    expect(says.endsWith('.') && why.endsWith('.'), name).toBe(true)
    // read in a small box beside a field
    expect(says.length + why.length, name).toBeLessThan(330)
  }
})
