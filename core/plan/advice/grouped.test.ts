import { describe, expect, it } from 'vitest'
import type { Advice } from '../../model/plan.ts'
import { say } from './check.ts'
import { adviceKey, allAtOnce, sortAdvice } from './grouped.ts'

const bare = (id: string): Advice =>
  say('no-coat', 'note', { kind: 'piece', id }, `${id} has no coat.`, {
    label: 'Add a 1.5 mm coat',
    change: { kind: 'addCoat', pieceId: id, colourId: 'cream' },
  })
const allergen = say('allergen', 'stop', { kind: 'order', id: 'nuts' }, 'Nuts are in it.')
const close = say('close-colours', 'decide', { kind: 'colour', id: 'a' }, 'A and B are alike.')

describe('advice in one place', () => {
  it('has decisions before notes, and says once what is alike, with one button for all', () => {
    const { decide, notes } = sortAdvice([bare('x'), close, bare('y'), allergen, bare('z')], [])
    expect(decide.map((g) => g.says)).toEqual(['A and B are alike.', 'Nuts are in it.'])
    expect(notes).toHaveLength(1)
    expect(notes[0]).toMatchObject({ advice: [bare('x'), bare('y'), bare('z')] })
    expect(notes[0]!.says).toMatch(/^3 pieces have no coat/)
    expect(allAtOnce(notes[0]!)).toBe('Add a 1.5 mm coat, all 3')
  })
  it('says what is alone as it is, and has no button for what asks for a judgement of its own', () => {
    const [one] = sortAdvice([bare('x')], []).notes
    expect(one!.says).toBe('x has no coat.')
    const mixed = sortAdvice([bare('x'), { ...bare('y'), remedy: null }], []).notes[0]!
    expect(allAtOnce(mixed)).toBeNull()
  })
  it('leaves what was waved off, whatever its figures become; and never what would hurt somebody', () => {
    const off = [adviceKey(bare('x')), adviceKey(allergen)]
    const changed = { ...bare('x'), message: 'x has no coat: 12 cm² show.' }
    const { decide, notes, waved } = sortAdvice([changed, bare('y'), allergen], off)
    expect(waved).toEqual([changed])
    expect(notes[0]!.advice).toEqual([bare('y')])
    expect(decide.map((g) => g.says)).toEqual(['Nuts are in it.'])
  })
})
