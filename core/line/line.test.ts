import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { orderSchema } from '../model/order.ts'
import { newOrder } from '../orders/new.ts'
import { lex } from './lex.ts'
import { withLine } from './make.ts'
import type { LineRead, MeantPiece } from './meant.ts'
import { readLine } from './read.ts'
import { sixty } from './sixty.ts'
import { vocabularyOf } from './vocabulary.ts'

const NOW = '2026-11-25T10:00'
const vocabulary = vocabularyOf(starterWorkshop.flowers)
const read = (line: string) => readLine(line, vocabulary, NOW)
const borders = new Set(starterWorkshop.flowers.filter((f) => f.form === 'border').map((f) => f.id))

function pieceWords(piece: MeantPiece): string {
  const { kind, count, mm, times, digits, flowers, schoolId } = piece
  const measures = digits ? ` “${digits}”` : mm.length > 0 ? ` ${mm.join(times ? '×' : '+')}` : ''
  const on = flowers.map((f) => {
    if (borders.has(f.flowerId)) return `${f.flowerId}${f.edge === 'foot' ? ' foot' : ''}`
    const size = f.size === null ? '' : ` @${f.size}`
    return `${f.flowerId} ×${f.count}${size}${f.colour ? ` =${f.colour.name}` : ''}`
  })
  return `${count} ${kind}${measures}: ${on.join(', ')}${schoolId ? `; ${schoolId}` : ''}`.trim()
}

/** What was made of a line, as the sixty say it. */
function meant(line: string): string[] {
  const { pieces, day, avoid, colours, missed } = read(line)
  return [
    ...pieces.map(pieceWords),
    ...(day ? [`day ${day}`] : []),
    ...(avoid.length > 0 ? [`without ${avoid.join(', ')}`] : []),
    ...(colours.length > 0 ? [`colours ${colours.map((c) => c.name).join(', ')}`] : []),
    ...missed.map(({ from, to }) => `not understood: ${line.slice(from, to)}`),
  ]
}

/** Whether somebody looking at the line sees that something in it is not sure. */
const showsDoubt = ({ missed, chips }: LineRead) => missed.length > 0 || chips.some((c) => c.guess)

describe('sixty orders as people write them', () => {
  const wrong = sixty.filter(
    ([line, ...wanted]) => meant(line).join('\n') !== wanted.filter(Boolean).join('\n'),
  )

  it('come out wholly right in all but a few', () => {
    expect(sixty).toHaveLength(60)
    expect(wrong.map(([line, ...wanted]) => ({ line, wanted, meant: meant(line) }))).toEqual([])
  })
  it('are never silently wrong', () => {
    for (const [line] of wrong) expect(showsDoubt(read(line)), line).toBe(true)
  })
})

describe('a word that is misspelt', () => {
  it('is the one that was meant, shown as a guess; a short one, or one that is like nothing, is underlined', () => {
    for (const [line, id] of [
      ['12 cupcakes with dasies', 'daisy'],
      ['12 cupcakes with helebores', 'hellebore'],
      ['12 cupkaces with roses', 'rose'],
    ] as const) {
      const { pieces, chips, missed } = read(line)
      expect(pieces[0]?.flowers[0]?.flowerId, line).toBe(id)
      expect([chips.some((c) => c.guess), missed], line).toEqual([true, []])
    }
    expect(read('12 cupcakes with rsoe').missed).toHaveLength(1)
    expect(read('12 cupcakes with ribbons').missed).toHaveLength(1)
  })
})

describe('an order made of a line', () => {
  const counting = () => {
    let n = 0
    return () => `id-${++n}`
  }
  const bare = newOrder('one', 'One', '2026-12-01T12:00', starterWorkshop.icings[0]!.id)
  const make = (line: string, order = bare) => withLine(order, read(line), starterWorkshop, counting())
  const first = sixty[0]![0]

  it('is one that can be kept and planned, for every one of the sixty', () => {
    for (const [line] of sixty.slice(1)) {
      const order = make(line)
      expect(orderSchema.safeParse(order).error, line).toBeUndefined()
    }
  })
  it('has what was asked for: sizes, colours, tiers, borders, places', () => {
    const order = make(first)
    expect(orderSchema.parse(order).pieces.map((p) => [p.name, p.count])).toEqual([
      ['Classic rose cupcakes', 12],
      ['Ranunculus cupcakes', 12],
      ['Rosette with stamens and leaves cupcakes', 6],
      ['Two-tier cake', 1],
      ['Poppy cookies', 10],
    ])
    const [rose, , , cake] = order.pieces
    const colourOf = (id: string) => order.colours.find((c) => c.id === id)?.name
    expect(colourOf(rose!.flowers[0]!.colours.petal!)).toBe('pink')
    // 40 mm as the recipe is, a quarter more
    expect(rose!.flowers[0]!.sizeMm).toBeGreaterThanOrEqual(48)
    expect(rose!.flowers[0]!.sizeMm).toBeLessThanOrEqual(52)
    expect(cake!.shape).toMatchObject({ tiers: [{ diameterMm: 200 }, { diameterMm: 130 }] })
    expect(cake!.layouts[0]).toMatchObject({ schoolId: 'fall' })
    expect(cake!.layouts[0]!.sites).toHaveLength(10)
    expect(
      cake!.flowers.flatMap((f) => (f.placement.kind === 'border' ? [f.placement.tier] : [])).sort(),
    ).toEqual([0, 1])
    expect([order.collectAt, order.avoid]).toEqual(['2026-11-28T11:00', ['nuts', 'egg']])
    expect(order.colours.map((c) => c.name)).toEqual(
      expect.arrayContaining(['blush', 'deep pink', 'moss', 'pink']),
    )
    // nothing that nobody asked for
    const worn = new Set(order.pieces.flatMap((p) => p.flowers.flatMap((f) => Object.values(f.colours))))
    for (const c of order.colours)
      expect(worn.has(c.id) || ['blush', 'deep pink', 'moss'].includes(c.name)).toBe(true)
  })
  it('stacks a cake whose tiers are only counted', () => {
    expect(make('3 tier cake with roses').pieces[0]!.shape).toMatchObject({
      tiers: [{ diameterMm: 270 }, { diameterMm: 210 }, { diameterMm: 150 }],
    })
    expect(make('two tier cake 25 cm, roses').pieces[0]!.shape).toMatchObject({
      tiers: [{ diameterMm: 250 }, { diameterMm: 190 }],
    })
  })
  it('adds a second line to what is there', () => {
    const once = make('12 cupcakes with roses; no nuts')
    const twice = make('6 cookies, daisies, no egg', once)
    expect(twice.pieces.map((p) => p.count)).toEqual([12, 6])
    expect(twice.avoid).toEqual(['nuts', 'egg'])
    expect(twice.collectAt).toBe(bare.collectAt)
  })
})

describe('every character of a line', () => {
  it('is in a chip, underlined, or joins others: nothing is dropped', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(...sixty.flatMap(([line]) => line.split(/(?<=[ ,;:])/u)), 'zzgrub', '7', 'wax'),
          {
            maxLength: 14,
          },
        ),
        (words) => {
          const line = words.join(' ')
          const { chips, missed } = read(line)
          for (const span of [...chips, ...missed])
            expect(span.to <= line.length && span.from < span.to).toBe(true)
          for (const item of lex(line, vocabulary, NOW)) {
            if (item.kind === 'joining' || item.kind === 'mark') continue
            const seen = [...chips, ...missed].some((s) => s.from <= item.from && item.to <= s.to)
            expect(seen, `“${line.slice(item.from, item.to)}” of “${line}”`).toBe(true)
          }
        },
      ),
      { seed: 15, numRuns: 300 },
    )
  })
})
