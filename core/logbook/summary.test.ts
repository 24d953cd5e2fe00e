import { describe, expect, it } from 'vitest'
import { toCsv } from '../files/csv.ts'
import { type LogEntry, logEntrySchema, logEntryVersion } from '../model/logEntry.ts'
import { overColours, overFlowers, overPeople } from './over.ts'
import { logRows } from './rows.ts'
import { found, summaryOf } from './summary.ts'

const bowl = (colour: string, leftGrams: number | null, ranShort = false): LogEntry['batches'][number] => ({
  ...{ id: colour, colour, hex: '#8f86b2', icingKindId: 'butter-sugar', stiffness: 'stiff' },
  ...{ plannedGrams: 100, leftGrams, estimated: false, ranShort },
  ...{ expectedGrams: null, stiffnessUsed: null, drops: [], stayedGrams: null },
})
const entry = logEntrySchema.parse({
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
      ...{ flowerId: 'rose', name: 'Rose', form: 'flower', piece: 'Cupcakes' },
      ...{ wanted: 12, piped: 13, spoiled: 2, minutes: 31, weighed: null },
    },
    {
      ...{ flowerId: null, name: '=2+2', form: 'flower', piece: 'Cake' },
      ...{ wanted: 3, piped: 3, spoiled: 0, minutes: null, weighed: null },
    },
  ],
})

describe('the logbook over all orders', () => {
  const second: LogEntry = {
    ...entry,
    ...{ id: 'b', people: ['ada '], plannedMinutes: 60, minutes: 48 },
    batches: [bowl('dusk', 37.5, true), bowl('Dusk', 50)],
    flowers: [
      {
        ...entry.flowers[0]!,
        name: 'rose',
        ...{ piped: 7, spoiled: 0, minutes: 9, weighed: { count: 5, grams: 40 } },
      },
    ],
  }
  it('says of a flower how many, how long and how heavy each, from where it was told', () => {
    const [rose] = overFlowers([entry, second]).filter((f) => f.name === 'Rose')
    // 13 and 7 in 31 and 9 minutes; five weighed 40 g once
    expect(rose).toEqual({ name: 'Rose', orders: 2, piped: 20, spoiled: 2, minutesEach: 2, gramsEach: 8 })
    expect(overFlowers([entry]).find((f) => f.name === '=2+2')).toMatchObject({
      minutesEach: null,
      gramsEach: null,
    })
  })
  it('says of a colour what is left of it on the whole, and in how many orders it ran short', () => {
    const colours = overColours([entry, second])
    // 12.5, 37.5 and 50 of three hundred
    expect(colours.find((c) => c.name === 'Dusk')).toMatchObject({ orders: 2, plannedGrams: 300, short: 1 })
    expect(colours.find((c) => c.name === 'Dusk')!.leftShare).toBeCloseTo(1 / 3, 12)
    expect(colours.find((c) => c.name === 'Moss')).toMatchObject({ leftShare: null, short: 1 })
  })
  it('says of a person, however the name is written, how they keep to the plan', () => {
    const people = overPeople([entry, second])
    expect(people.map((p) => [p.name, p.orders])).toEqual([
      ['Ada', 2],
      ['Bea', 1],
    ])
    expect(people[0]!.pace).toBeCloseTo((72.25 + 48) / 120, 12)
  })
  it('is the same in whatever order it is read', () => {
    expect(overColours([second, entry]).map((c) => [c.orders, c.plannedGrams, c.leftShare, c.short])).toEqual(
      overColours([entry, second]).map((c) => [c.orders, c.plannedGrams, c.leftShare, c.short]),
    )
  })
})

describe('an entry in figures', () => {
  it('sums what was told, and says that nobody told where nobody did', () => {
    expect(summaryOf(entry)).toMatchObject({
      ...{ plannedGrams: 200, leftGrams: 20, ranShort: ['Moss'], wanted: 15, piped: 16, spoiled: 2 },
    })
    // leaves are piped too, and are no flowers
    const leaf = {
      ...entry.flowers[0]!,
      name: 'Leaf',
      form: 'leaf' as const,
      wanted: 40,
      piped: 40,
      spoiled: 9,
    }
    expect(summaryOf({ ...entry, flowers: [...entry.flowers, leaf] })).toMatchObject({
      wanted: 15,
      spoiled: 2,
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
