import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '#core/catalogue/starter'
import { toCsv } from '#core/files/csv'
import { orderFileSchema } from '#core/files/orderFile'
import { planOrder } from '#core/plan/index'
import { type TableName, tableCsv, tableNames } from './tables.ts'

const { order } = orderFileSchema.parse(
  JSON.parse(readFileSync(new URL('../../demo/observatory.json', import.meta.url), 'utf8')),
)
const plan = planOrder(order, starterWorkshop)

/** A table as a spreadsheet reads it, by a parser that did not write it. */
function read(name: TableName): Record<string, string>[] {
  const { data, errors } = Papa.parse<Record<string, string>>(tableCsv(name, plan, order, starterWorkshop), {
    header: true,
    skipEmptyLines: true,
  })
  expect(errors).toEqual([])
  return data
}
const column = (name: TableName, key: string) => read(name).map((row) => Number(row[key]))
const sum = (figures: readonly number[]) => figures.reduce((a, b) => a + b, 0)

describe('tables for a spreadsheet', () => {
  it.each(tableNames)('%s: every row has every column, and no figure is missing', (name) => {
    const rows = read(name)
    expect(rows.length).toBeGreaterThan(0)
    const columns = Object.keys(rows[0]!)
    for (const row of rows) expect(Object.keys(row)).toEqual(columns)
    for (const key of columns.filter((c) => c.endsWith('grams') || c === 'fillings' || c === 'strokes'))
      for (const row of rows)
        expect(Number.isFinite(Number(row[key])) && row[key] !== '', `${key} of ${name}`).toBe(true)
  })

  it('colours and bowls each sum to what is mixed, to a tenth of a gram a row', () => {
    const near = (figures: readonly number[], wanted: number) =>
      expect(Math.abs(sum(figures) - wanted)).toBeLessThan(0.05 * figures.length + 1e-9)
    near(column('colours', 'grams'), plan.totals.mixedGrams)
    near(column('batches', 'grams'), plan.totals.mixedGrams)
    near(column('batches', 'piped_grams'), plan.totals.pipedGrams)
    near(column('base', 'grams'), plan.base.grams + sum(plan.otherBases.map((b) => b.grams)))
  })

  it('a bowl is what goes into it, and what becomes of it', () => {
    for (const row of read('batches')) {
      const of = (...keys: string[]) => sum(keys.map((k) => Number(row[k])))
      const total = Number(row.grams)
      expect(Math.abs(of('base_grams', 'liquid_grams') - total)).toBeLessThan(0.2)
      const fate = of(
        'piped_grams',
        'reserve_grams',
        'stays_in_bags_grams',
        'stays_in_bowl_grams',
        'rounding_grams',
      )
      expect(Math.abs(fate - total)).toBeLessThan(0.4)
    }
  })

  it('bags are told by their numbers, with every tip and every load in words', () => {
    const rows = read('bags')
    expect(rows.map((r) => Number(r.bag))).toEqual(plan.bags.map((b) => b.number))
    rows.forEach((row, i) => {
      const bag = plan.bags[i]!
      expect(row.tips!.split('; ')).toHaveLength(bag.tipIds.length)
      expect(row.tips).not.toMatch(/undefined|null/)
      const loads = row.load!.split('; ').map((l) => Number(/([\d.]+) g$/.exec(l)![1]))
      expect(Math.abs(sum(loads) - bag.grams)).toBeLessThan(0.06 * loads.length)
      expect(row.size).not.toBe('')
    })
  })

  it('demand names the piece, and sums to what lands on them, spares, practice and margin', () => {
    const rows = read('demand')
    expect(new Set(rows.map((r) => r.piece))).toEqual(new Set(order.pieces.map((p) => p.name)))
    for (const [key, wanted] of [
      ['piped_grams', plan.totals.pipedGrams],
      ['spoiled_grams', plan.reserve.spoiled],
      ['practice_grams', plan.reserve.practice],
      ['margin_grams', plan.reserve.margin],
    ] as const)
      expect(Math.abs(sum(column('demand', key)) - wanted)).toBeLessThan(0.005 * rows.length + 1e-9)
  })

  it('what is short is what is needed beyond what there is; costs sum to the order', () => {
    for (const row of read('supplies')) {
      if (row.owned === '') continue
      expect(Number(row.short)).toBeCloseTo(Math.max(0, Number(row.needed) - Number(row.owned)), 1)
    }
    expect(Math.abs(sum(column('supplies', 'cost')) - plan.totals.cost)).toBeLessThan(
      0.005 * plan.supplies.length + 1e-9,
    )
  })
})

describe('a cell', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['+49 30', "'+49 30"],
    ['-5 roses', "'-5 roses"],
    ['@sum', "'@sum"],
    ['  =hidden', "  '=hidden"],
    ['two\n=lines', "two\n'=lines"],
    ['rose = pink', 'rose = pink'],
    ['a,b "c"', 'a,b "c"'],
  ])('%j is read as text: %j', (typed, wanted) => {
    const { data } = Papa.parse<Record<string, string>>(toCsv([{ name: typed }]), {
      header: true,
      skipEmptyLines: true,
    })
    expect(data[0]!.name).toBe(wanted)
  })

  it('that is a number stays one, also below nothing', () => {
    expect(toCsv([{ grams: -1.5, left: null }])).toBe('grams,left\r\n-1.5,\r\n')
  })
})
