import { describe, expect, it } from 'vitest'
import { ciede2000 } from '../colour/ciede2000.ts'
import { hexToLab } from '../colour/lab.ts'
import { orderFaults } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import { planFigures } from '../plan/index.ts'
import { allIn, demoOrder, demoWorkshop, wearing } from '../plan/testing.ts'
import { becomes, fewerColours, merged } from './fewerColours.ts'

const colours = [
  { id: 'rose', hex: '#c98a93' },
  { id: 'blush', hex: '#e3aab0' },
  { id: 'leaf', hex: '#6f8c4c' },
  { id: 'moss', hex: '#748f50' },
]
const worn = { colours: colours as Order['colours'], pieces: [] }
const grams = (of: Record<string, number>) => new Map(Object.entries(of))

describe('fewer colours', () => {
  it('take the nearest shades together first, the smaller bowl into the larger', () => {
    const all = { rose: 100, blush: 40, leaf: 20, moss: 60 }
    // two greens that nobody tells apart, then the lighter pink into the darker; never a green into a pink
    expect(fewerColours(worn, grams(all), 3)).toEqual([{ from: 'leaf', into: 'moss' }])
    expect(fewerColours(worn, grams(all), 2)).toEqual([
      { from: 'leaf', into: 'moss' },
      { from: 'blush', into: 'rose' },
    ])
    expect(fewerColours(worn, grams({ ...all, rose: 30, blush: 90 }), 2).at(-1)).toEqual({
      from: 'rose',
      into: 'blush',
    })
  })

  it('take a trace of another hue before a bowl of a near one', () => {
    expect(
      fewerColours(
        { ...worn, colours: worn.colours.slice(0, 3) },
        grams({ rose: 400, blush: 400, leaf: 1 }),
        2,
      ),
    ).toEqual([{ from: 'leaf', into: 'rose' }])
  })

  it('keep stamens apart from their petals where another colour is hardly further', () => {
    const poppy = [
      { id: 'petals', name: 'Red', hex: '#b5433a' },
      { id: 'stamens', name: 'Black', hex: '#3a3640' },
      { id: 'green', name: 'Green', hex: '#5f7a44' },
    ] as Order['colours']
    const all = grams({ petals: 60, stamens: 10, green: 60 })
    const apart = { colours: poppy, pieces: [] }
    const flower = { ...allIn('poppy', 'petals'), id: 'f', colours: { petals: 'petals', stamens: 'stamens' } }
    const together = wearing(10, [flower], { colours: poppy })
    const near = ciede2000(hexToLab('#3a3640'), hexToLab('#b5433a'))
    const far = ciede2000(hexToLab('#3a3640'), hexToLab('#5f7a44'))
    // by the eye alone the petals are nearer or not much further: only that they meet decides
    expect(far / near).toBeLessThan(2)
    expect(fewerColours(together, all, 2)).toEqual([{ from: 'stamens', into: 'green' }])
    expect(fewerColours(apart, all, 2)).toEqual([{ from: 'stamens', into: near < far ? 'petals' : 'green' }])
  })

  it('leave what nobody wears, and everything where there are few enough', () => {
    expect(fewerColours(worn, grams({ rose: 100, leaf: 20 }), 2)).toEqual([])
    expect(fewerColours(worn, grams({ rose: 100, leaf: 20 }), 1)).toEqual([{ from: 'leaf', into: 'rose' }])
    expect(fewerColours({ ...worn, colours: [] }, new Map(), 1)).toEqual([])
  })

  it('say what each colour comes to, over several steps', () => {
    const merges = [
      { from: 'a', into: 'b' },
      { from: 'b', into: 'c' },
    ]
    expect(['a', 'b', 'c', 'd'].map((id) => becomes(id, merges))).toEqual(['c', 'c', 'c', 'd'])
  })

  it('leave an order that can be planned, with as much icing in so many bowls', () => {
    const workshop = demoWorkshop()
    const order = demoOrder('observatory')
    const mixed = (o: typeof order) => planFigures(o, workshop).colours.filter((c) => c.grams > 0)
    const before = mixed(order)
    const piped = (o: typeof order) =>
      planFigures(o, workshop).uses.reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
    const merges = fewerColours(order, new Map(before.map((c) => [c.id, c.grams])), 4)
    const fewer = merged(order, merges)
    expect(before.length).toBeGreaterThan(4)
    expect(mixed(fewer)).toHaveLength(4)
    expect(orderFaults(fewer, workshop)).toEqual([])
    expect(piped(fewer)).toBeCloseTo(piped(order), 6)
  })
})
