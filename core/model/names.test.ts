import { describe, expect, it } from 'vitest'
import { copyName, distinctName } from './names.ts'

describe('names of copies', () => {
  it('tell every copy apart, whatever its case', () => {
    expect(distinctName('Rose', [])).toBe('Rose')
    expect(distinctName('Rose', ['rose ', 'Rose 2'])).toBe('Rose 3')
  })
  it('do not pile up words when a copy is copied', () => {
    expect(copyName('Rose', 'ours', ['Rose'])).toBe('Rose (ours)')
    expect(copyName('Rose (ours)', 'ours', ['Rose', 'Rose (ours)'])).toBe('Rose (ours) 2')
    expect(copyName('Rose (ours) 2', 'ours', ['Rose (ours)', 'Rose (ours) 2'])).toBe('Rose (ours) 3')
  })
  it('stay within the length of a name, and still differ', () => {
    const long = 'x'.repeat(80)
    const first = copyName(long, 'copy', [long])
    const second = copyName(long, 'copy', [long, first])
    expect(first).toHaveLength(80)
    expect(second.length).toBeLessThanOrEqual(80)
    expect(new Set([long, first, second]).size).toBe(3)
  })
})
