import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { freeze } from '../bench/freeze.ts'
import { titleOf } from '../bench/words.ts'
import type { Frozen } from '../model/bench.ts'
import { ALLERGENS_HERE, type LabelMedia, USUAL_LABELS } from '../model/labels.ts'
import type { Order } from '../model/order.ts'
import { planOrder } from '../plan/index.ts'
import { demoOrder, demoWorkshop } from '../plan/testing.ts'
import { BenchDays } from '../timeline/day.ts'
import { formatWeight } from '../units.ts'
import { makePrint } from './index.ts'
import { drawLabel, type Label } from './label.ts'
import type { Block, Print } from './print.ts'
import { type Measure, wrap } from './type.ts'

/** Letters half as wide as they are high: near enough, and known. */
const measure: Measure = (text, _, size) => text.length * size * 0.5

function frozenOf(order: Order, workshop = demoWorkshop()): Frozen {
  return freeze(order, planOrder(order, workshop), workshop)
}
function print(kind: Parameters<typeof makePrint>[0], frozen: Frozen, media: LabelMedia = USUAL_LABELS) {
  const { order, plan, workshop } = frozen
  const table = () => new BenchDays([{ order, plan }], workshop).answer(null).table
  return makePrint(kind, { frozen, table, media, measure, codeOf: () => null })
}
const demo = frozenOf(demoOrder('observatory'))

/** All that can be read on a print, a line each. */
function readable(made: Print): string[] {
  const ofSvg = (svg: string) => [...svg.matchAll(/<text[^>]*>([^<]*)/g)].map((m) => m[1]!)
  if (made.kind === 'pages') return made.pages.flatMap((p) => ofSvg(p.svg))
  const ofBlock = (b: Block): string[] => {
    if (b.kind === 'table')
      return [...b.head, ...b.rows.flat().flatMap((c) => (c.kind === 'words' ? c.text : []))]
    return b.kind === 'drawing' ? ofSvg(b.drawing.svg) : [b.text]
  }
  return made.blocks.flatMap(ofBlock)
}
const rowsOf = (made: Print) =>
  made.kind === 'blocks' ? made.blocks.flatMap((b) => (b.kind === 'table' ? b.rows : [])) : []

describe('words on a label', () => {
  const words = fc.array(fc.stringMatching(/^[a-z]{1,30}$/), { minLength: 1, maxLength: 12 })
  it('are broken without losing a letter, and no line is wider than its room', () => {
    fc.assert(
      fc.property(words, fc.double({ min: 3, max: 60, noNaN: true }), (list, wide) => {
        const lines = wrap(list.join(' '), wide, 'text', 3, measure)
        expect(lines.join('').replaceAll(' ', '')).toBe(list.join(''))
        for (const line of lines) expect(measure(line, 'text', 3)).toBeLessThanOrEqual(wide)
      }),
    )
  })
  it('stay on it whatever its size, and what finds no room is said', () => {
    const label = fc.record({
      big: fc.stringMatching(/^[0-9]{1,3}$/),
      title: words.map((w) => w.join(' ')),
      lines: fc.array(
        words.map((w) => w.join(' ')),
        { maxLength: 8 },
      ),
    })
    const millimetres = (min: number, max: number) => fc.integer({ min, max })
    fc.assert(
      fc.property(label, millimetres(30, 190), millimetres(18, 150), (said, wide, high) => {
        const whole: Label = { ...said, sort: 'Bag', hexes: ['#aa3300'], tip: null, code: null }
        const { svg, leftOut } = drawLabel(whole, wide, high, measure)
        const shift = /<g transform="translate\(([\d.]+) ([\d.]+)\)">/.exec(svg)!
        const inner = svg.slice(shift.index)
        const drawn = [
          ...inner.matchAll(/<text x="([\d.]+)" y="([\d.]+)"[^>]*font-size="([\d.]+)"[^>]*>([^<]*)/g),
        ]
        for (const [, x, y, size, text] of drawn) {
          expect(Number(shift[1]) + Number(x) + measure(text!, 'text', Number(size))).toBeLessThan(wide)
          expect(Number(shift[2]) + Number(y)).toBeLessThan(high)
        }
        const letters = (list: readonly string[]) => list.join('').replaceAll(' ', '')
        const isWhole = letters(drawn.map((d) => d[4]!)) === letters([said.title, ...said.lines])
        expect(isWhole).toBe(!leftOut)
      }),
    )
  })
})

describe('labels of the demo order', () => {
  it('name every filling of every bag once, with its colours, layers and opening', () => {
    const media = { widthMm: 100, heightMm: 50, on: 'roll' } as const
    const made = print('bagLabels', demo, media) as Print & { kind: 'pages' }
    const { bags } = demo.plan
    // the first is the line to measure
    expect(made.pages).toHaveLength(1 + bags.reduce((sum, b) => sum + b.fillings, 0))
    expect(made.notes).toEqual([])
    let page = 1
    for (const bag of bags)
      for (let filling = 1; filling <= bag.fillings; filling++) {
        const said = readable({ ...made, pages: [made.pages[page++]!] }).join(' ')
        expect(said).toMatch(new RegExp(`^Bag ${bag.number} `))
        expect(said).toContain(`filling ${filling} of ${bag.fillings},`)
        for (const { colourId } of bag.load)
          expect(said).toContain(demo.plan.colours.find((c) => c.id === colourId)!.name)
        const first = demo.plan.uses.find((u) => bag.useIds.includes(u.id))!
        expect(said).toContain(first.flowerName)
      }
    for (const p of made.pages) expect([p.widthMm, p.heightMm]).toEqual([100, 50])
  })
  it('say of a bowl what the plan weighs, and the drops that its colour’s own screen gives', () => {
    const said = readable(print('bowlLabels', demo, { widthMm: 150, heightMm: 90, on: 'page' })).join(' ')
    for (const { name } of demo.plan.colours) expect(said).toContain(name)
    for (const { stiffness, grams } of demo.plan.batches)
      expect(said).toContain(`${stiffness}: ${formatWeight(grams, 'grams')}`)
    expect(said).toMatch(/drop|speck/)
  })
  it('count trays as the plan of the cold does, and say until when they keep', () => {
    const trays = demo.steps.filter((s) => s.kind === 'cold')
    const made = print('trayLabels', demo, { widthMm: 100, heightMm: 50, on: 'roll' })
    const said = readable(made)
    expect(said.filter((l) => l === 'Tray')).toHaveLength(
      trays.reduce((sum, t) => sum + Number.parseInt(t.where.split(', ')[1]!, 10), 0),
    )
    expect(said.filter((l) => l.startsWith('keep until'))).toHaveLength(
      said.filter((l) => l === 'Tray').length,
    )
  })
  it('say on a box what the bakery typed, what it contains, and what comes off or out', () => {
    const order = demoOrder('observatory')
    order.setOns = [
      {
        ...{ id: 'pick', name: 'Brass moon', kind: 'pick', widthMm: 20, heightMm: 60, grams: 2, cost: 1 },
        ...{ owned: null, hex: '#b98a3a', allergens: ['nuts'], edible: 'no', labelWords: '' },
        ...{ smallHard: false, when: 'last', daysAhead: 0 },
      },
    ]
    const cake = order.pieces.find((p) => p.shape.kind === 'cake')!
    cake.setOns = [{ id: 'p1', setOnId: 'pick', perPiece: 1 }]
    const workshop = demoWorkshop()
    workshop.settings.boxWords = `Enthält: ${ALLERGENS_HERE}!`
    const said = readable(
      print('boxLabels', frozenOf(order, workshop), { widthMm: 150, heightMm: 90, on: 'page' }),
    ).join(' ')
    expect(said).toContain('Enthält: milk, nuts!')
    expect(said).toContain('Enthält: milk!')
    expect(said).toContain('Take off before eating: brass moon.')
    expect(said).toMatch(/Inside, take out while cutting: \d+ supports/)
  })
})

describe('lists of the demo order', () => {
  it('go through every step of the run once, in its order', () => {
    const titles = rowsOf(print('runSheet', demo))
      .filter((row) => row[0]?.kind === 'tick')
      .map((row) => (row[3] as { text: string }).text)
    expect(titles).toEqual(demo.steps.map(titleOf))
  })
  it('pull all that is needed, tips as they lie in the drawer, and buy what is short', () => {
    const workshop = demoWorkshop()
    workshop.settings.pantry = {}
    const frozen = frozenOf(demoOrder('observatory'), workshop)
    const said = readable(print('pullList', frozen))
    const short = frozen.plan.supplies.filter((s) => s.short > 0)
    expect(short.length).toBeGreaterThan(2)
    for (const { name, kind } of frozen.plan.supplies.filter((s) => s.needed > 0))
      expect(said.filter((line) => (kind === 'tip' ? line.startsWith(name) : line === name)).length).toBe(
        short.some((s) => s.name === name) ? 2 : 1,
      )
  })
  it('offer the customer prices that were set, and none of the bakery’s own figures', () => {
    const order = demoOrder('observatory')
    const [first] = order.pieces
    order.offer = { prices: { [first!.id]: 4.25 }, words: 'Half in advance.' }
    const frozen = frozenOf(order)
    const made = print('quote', frozen)
    const said = readable(made).join(' | ')
    expect(said).toContain('4.25')
    expect(said).toContain((first!.count * 4.25).toFixed(2))
    expect(said).toContain('Half in advance.')
    const open = rowsOf(made).filter((row) =>
      row.some((c) => c.kind === 'words' && c.text === 'to be agreed'),
    )
    expect(open).toHaveLength(order.pieces.length - 1)
    expect(made.notes[0]).toMatch(/^No price yet: /)
    expect(said).not.toMatch(/\d g\b|\bmin\b|\bh \d|bag|hour|cost/i)
  })
})

it('a note of a large order stays a line: it travels beside the print', () => {
  const order = demoOrder('observatory')
  const [piece] = order.pieces
  order.pieces = Array.from({ length: 120 }, (_, i) => ({
    ...piece!,
    ...{ id: `p${i}`, name: `A cupcake with a rather long name, number ${i}`, flowers: [], layouts: [] },
  }))
  const { notes } = print('quote', frozenOf(order))
  expect(notes).toHaveLength(1)
  expect(notes[0]).toMatch(/number 4 and 115 more\.$/)
})

describe('marks for equal parts', () => {
  it('are made for what stands in place or several times round a piece, as wide as the piece is', () => {
    const order = demoOrder('observatory')
    const [cup] = order.pieces
    cup!.layouts = []
    cup!.flowers = [{ ...cup!.flowers[0]!, placement: { kind: 'each', perPiece: 5 } }]
    order.pieces = [cup!]
    const made = print('spacingMarks', frozenOf(order)) as Print & { kind: 'pages' }
    const across = (cup!.shape as { diameterMm: number }).diameterMm
    expect(made.pages[0]!.svg).toContain(`<circle r="${across / 2}" stroke-width="0.4"/>`)
    expect(made.pages[0]!.svg).toContain(`5 parts, ${across} mm`)
  })
})
