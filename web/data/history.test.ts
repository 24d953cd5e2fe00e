import { describe, expect, it } from 'vitest'
import { record, redo, startHistory, undo } from './history.ts'

describe('undo', () => {
  const edited = record(record(startHistory(1), 2, 'two', 'a', 0), 3, 'three', 'b', 100)
  it('goes back and forth', () => {
    expect(undo(edited).present).toBe(2)
    expect(redo(undo(undo(edited))).present).toBe(2)
    expect(undo(undo(undo(edited))).present).toBe(1)
  })
  it('takes quick edits of one thing as one step, slow ones as two', () => {
    const quick = record(record(startHistory(1), 2, '', 'count', 0), 3, '', 'count', 500)
    expect(undo(quick).present).toBe(1)
    const slow = record(record(startHistory(1), 2, '', 'count', 0), 3, '', 'count', 5000)
    expect(undo(slow).present).toBe(2)
  })
  it('takes an act whose parts come in slowly as one step, unless something else came between', () => {
    const laid = record(record(startHistory(1), 2, '', 'lay 1', 0, true), 3, '', 'lay 1', 60_000, true)
    expect(undo(laid).present).toBe(1)
    const between = record(record(laid, 4, '', 'count', 60_100), 5, '', 'lay 1', 60_200, true)
    expect(undo(between).present).toBe(4)
  })
  it('does not join an edit to one that was undone', () => {
    const again = record(undo(record(startHistory(1), 2, '', 'count', 0)), 5, '', 'count', 10)
    expect(undo(again).present).toBe(1)
    expect(redo(again).present).toBe(5)
  })
  it('records nothing where nothing changed', () => {
    expect(record(edited, 3, '', 'b', 0)).toBe(edited)
  })
})
