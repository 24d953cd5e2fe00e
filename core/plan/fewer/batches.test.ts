import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../../catalogue/starter.ts'
import { type Order, orderSchema } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { newOrder } from '../../orders/new.ts'
import { planOrder, type UnplannableOrderError } from '../index.ts'
import { applyRemedy } from '../remedies.ts'
import { brokenLayers } from '../work/broken.ts'
import { batchOffers, inBatches } from './batches.ts'
import { buyOffers } from './buying.ts'

/** Twelve ranunculus in three colours: one curved tip goes round three bags for each of fourteen flowers. */
const order = (flowerId = 'ranunculus', count = 12): Order =>
  orderSchema.parse({
    ...newOrder('r', 'Ranunculus', '2026-12-01T10:00', 'butter-sugar'),
    colours: [
      { id: 'a', name: 'Moss', hex: '#c9c77c' },
      { id: 'b', name: 'Sand', hex: '#e0cfa0' },
      { id: 'c', name: 'Shell', hex: '#dcbfae' },
    ],
    pieces: [
      {
        id: 'p',
        name: 'Cupcakes',
        count,
        shape: { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
        flowers: [
          {
            id: 'f',
            flowerId,
            placement: { kind: 'each', perPiece: 1 },
            colours: { heart: 'a', inner: 'b', outer: 'c' },
          },
        ],
      },
    ],
  })

const plan = (of: Order, workshop: Workshop = starterWorkshop) => planOrder(of, workshop)

describe('a flower over a batch of squares', () => {
  const [offer] = batchOffers(order(), starterWorkshop)
  const then = inBatches(order(), 'p', 'f', offer!.squares)

  it('changes tips once a batch: three bags and one tip, two batches of eight and six', () => {
    expect([offer!.squares, offer!.flowers]).toEqual([8, 14])
    const { totals, hands, sequence } = plan(then)
    // the dome has its own bag. The curved tip goes heart, inner, outer: first mounts are free, and two of three are
    // washed to; in the second batch it is mounted again on all three and washed to all three: 0 + 3, 2 + 3
    expect([totals.changes, totals.washes]).toEqual([3, 5])
    const pipes = sequence.filter((s) => s.kind === 'pipe')
    expect(pipes.map((s) => s.repeats)).toEqual([8, 8, 8, 8, 6, 6, 6, 6])
    expect(hands.nails - plan(order()).hands.nails).toBeCloseTo(14 * 3 * 0.1)
  })

  it('saves what it says, and pipes the same icing', () => {
    const [now, after] = [plan(order()), plan(then)]
    expect(now.totals.handsOnMinutes - after.totals.handsOnMinutes).toBeCloseTo(offer!.saves.minutes, 6)
    expect(offer!.saves.minutes).toBeGreaterThan(45)
    expect(after.totals.pipedGrams).toBeCloseTo(now.totals.pipedGrams, 9)
    expect(after.totals.flowers).toBe(now.totals.flowers)
  })

  it('stays an order that can be piped, lifts each flower once, and pipes every layer of every flower', () => {
    const { sequence, uses } = plan(then)
    expect(brokenLayers(plan(then), starterWorkshop)).toEqual([])
    const [lift] = sequence.filter((s) => s.kind === 'lift')
    expect(lift!.useIds).toEqual([...new Set(lift!.useIds)])
    for (const use of uses.filter((u) => u.tipId !== null)) {
      const piped = sequence.filter((s) => s.kind === 'pipe' && s.useIds.includes(use.id))
      expect(piped.reduce((sum, s) => sum + s.repeats, 0)).toBe(use.flowers + use.spares + use.practice)
    }
  })

  it('waits for no longer than six tenths of the crust, and as long as it likes where nothing crusts', () => {
    expect(offer!.waitMinutes).toBeLessThanOrEqual(0.6 * 15)
    const slow: Workshop = {
      ...starterWorkshop,
      icings: starterWorkshop.icings.map((i) => ({ ...i, crustMinutes: 2 })),
    }
    expect(batchOffers(order(), slow)).toEqual([])
    const never: Workshop = {
      ...starterWorkshop,
      icings: starterWorkshop.icings.map((i) => ({ ...i, crustMinutes: 0 })),
    }
    expect(batchOffers(order(), never)[0]!.squares).toBe(14)
  })

  it('is not offered where a person has settled it, or where nothing goes round', () => {
    expect(batchOffers(then, starterWorkshop)).toEqual([])
    expect(batchOffers(order('daisy', 4), starterWorkshop)).toEqual([])
  })

  it('is no other work in one bowl through all colours, which goes layer by layer anyway', () => {
    const chain = (of: Order): Order => ({
      ...of,
      mixing: { school: 'carryOver', chain: [{ colourId: 'a', carriedShare: 0.2 }] },
    })
    expect(plan(chain(then)).totals).toEqual(plan(chain(order())).totals)
  })
})

describe('squares that stand too long', () => {
  const slow = inBatches(order(), 'p', 'f', 14)
  it('are a decision with a remedy that settles it', () => {
    const before = plan(slow)
    const said = before.advice.find((a) => a.code === 'batch-crusts')!
    // a wrap and rows of 1.1 min a square: fourteen wait over 15 min, and sugar-and-butter crusts after 15
    expect(said.message).toMatch(/14 squares of Ranunculus .* stand for 16 min.* crusts after about 15 min/)
    const then = applyRemedy(slow, said.remedy!.change, before)
    expect(then.pieces[0]!.flowers[0]!.batch).toBe(8)
    expect(plan(then).advice.map((a) => a.code)).not.toContain('batch-crusts')
  })
  it('are no matter where the icing never crusts, or one flower follows another', () => {
    const codes = (of: Order, workshop?: Workshop) => plan(of, workshop).advice.map((a) => a.code)
    const never: Workshop = {
      ...starterWorkshop,
      icings: starterWorkshop.icings.map((i) => ({ ...i, crustMinutes: 0 })),
    }
    expect(codes(slow, never)).not.toContain('batch-crusts')
    expect(codes(order())).not.toContain('batch-crusts')
  })
})

describe('batches of more steps than one plan takes', () => {
  const many = (squares: number) => inBatches(order('ranunculus', 5000), 'p', 'f', squares)

  it('are refused at the flower, with what to do', () => {
    // 2,500 batches of two, each in four parts
    expect(() => plan(many(2))).toThrow(/10,000 steps.*one plan takes 2,000.*more squares at a time/)
    try {
      plan(many(2))
    } catch (error) {
      const { faults } = error as UnplannableOrderError
      expect(faults.map((f) => f.path)).toEqual([['pieces', 0, 'flowers', 0, 'batch']])
    }
  })

  it('are planned up to there', () => {
    const { totals, sequence } = plan(many(11))
    expect(totals.flowers).toBe(5000)
    expect(sequence.filter((s) => s.kind === 'pipe').length).toBeLessThanOrEqual(2000)
  })
})

describe('what is worth buying', () => {
  it('is a tip that goes round within a flower, and saves what it says', () => {
    const [offer] = buyOffers(order(), starterWorkshop)
    expect([offer!.kind, offer!.tipId]).toEqual(['tip', 'curve-11'])
    const richer: Workshop = {
      ...starterWorkshop,
      tips: starterWorkshop.tips.map((t) => (t.id === 'curve-11' ? { ...t, owned: 2 } : t)),
    }
    const saved = plan(order()).totals.handsOnMinutes - plan(order(), richer).totals.handsOnMinutes
    expect(Math.abs(saved - offer!.saves.minutes)).toBeLessThan(1)
  })

  it('is nothing after the flower is piped in batches: those replace it', () => {
    const [offer] = batchOffers(order(), starterWorkshop)
    expect(buyOffers(inBatches(order(), 'p', 'f', offer!.squares), starterWorkshop)).toEqual([])
  })

  it('is a bag of 15 cm where little goes into several, and not where one is in the drawer', () => {
    const few = order('blossom', 3)
    const small = buyOffers(few, {
      ...starterWorkshop,
      bags: starterWorkshop.bags.filter((b) => b.kind !== 'parchment'),
    })
    expect(small.map((o) => o.kind)).toEqual(['bag'])
    expect(small[0]!.saves.grams).toBeGreaterThan(20)
    const owned: Workshop = {
      ...starterWorkshop,
      bags: [
        { id: 'b15', name: '15', kind: 'disposable', lengthMm: 150, residueGrams: 5, owned: 9 },
        ...starterWorkshop.bags.filter((b) => b.kind !== 'parchment'),
      ],
    }
    expect(buyOffers(few, owned)).toEqual([])
  })
})
