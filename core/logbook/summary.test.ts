import { describe, expect, it } from 'vitest'
import { toCsv } from '../files/csv.ts'
import { type LogEntry, logEntryVersion } from '../model/logEntry.ts'
import { logRows } from './rows.ts'
import { found, summaryOf } from './summary.ts'

const bowl = (colour: string, leftGrams: number | null, ranShort = false): LogEntry['batches'][number] => ({
  ...{ id: colour, colour, hex: '#8f86b2', icingKindId: 'butter-sugar', stiffness: 'stiff' },
  ...{ plannedGrams: 100, leftGrams, estimated: false, ranShort },
})
const entry: LogEntry = {
  ...{ schemaVersion: logEntryVersion, id: 'a', orderId: null, title: 'Tea', at: '2027-08-14T16:00' },
  ...{
    people: ['Ada', 'Bea'],
    roomC: 21.5,
    plannedMinutes: 60,
    minutes: 72.25,
    remarks: ['Warm; rested twice.'],
  },
  batches: [bowl('Dusk', 12.5), bowl('Moss', null, true)],
  bags: [{ number: 3, label: 'Dusk, petal', plannedGrams: 80, leftGrams: 7.5, estimated: true }],
  flowers: [
    {
      ...{ flowerId: 'rose', name: 'Rose', piece: 'Cupcakes' },
      ...{ wanted: 12, piped: 13, spoiled: 2, minutes: 31, weighed: null },
    },
    {
      ...{ flowerId: null, name: '=2+2', piece: 'Cake' },
      ...{ wanted: 3, piped: 3, spoiled: 0, minutes: null, weighed: null },
    },
  ],
}

describe('an entry in figures', () => {
  it('sums what was told, and says that nobody told where nobody did', () => {
    expect(summaryOf(entry)).toMatchObject({
      ...{ plannedGrams: 200, leftGrams: 20, ranShort: ['Moss'], wanted: 15, piped: 16, spoiled: 2 },
    })
    expect(summaryOf({ ...entry, batches: [bowl('Moss', null)], bags: [] }).leftGrams).toBeNull()
    expect(summaryOf({ ...entry, batches: [bowl('Moss', 0)], bags: [] }).leftGrams).toBe(0)
  })
  it('is found by every word that stands in it, in any order', () => {
    const later = { ...entry, id: 'b', title: 'Opening', at: '2027-09-01T10:00', people: [], remarks: [] }
    const ids = (search: string) => found([entry, later], search).map((e) => e.id)
    expect(ids('')).toEqual(['b', 'a'])
    expect(ids('bea rested')).toEqual(['a'])
    expect(ids('rose MOSS')).toEqual(['b', 'a'])
    expect(ids('rose brass')).toEqual([])
  })
  it('goes out as a table with a row for every bowl, bag and flower, and no cell that a spreadsheet runs', () => {
    const rows = logRows([entry])
    expect(rows.map((r) => [r.kind, r.name, r.left_grams])).toEqual([
      ['bowl', 'Dusk', 12.5],
      ['bowl', 'Moss', ''],
      ['bag', '3', 7.5],
      ['flower', 'Rose', ''],
      ['flower', '=2+2', ''],
    ])
    expect(new Set(rows.map((r) => Object.keys(r).join())).size).toBe(1)
    expect(toCsv(rows)).toContain("'=2+2")
  })
})
