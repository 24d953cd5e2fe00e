import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { hexToLab } from '../colour/lab.ts'
import { orderFaults } from '../model/faults.ts'
import type { Order } from '../model/order.ts'
import { planFigures } from '../plan/index.ts'
import { demoOrder, demoWorkshop, orders } from '../plan/testing.ts'
import { type LighterChange, lightened } from './change.ts'
import { asVersion, type LighterOffer, lighterOffer, versionOf } from './offer.ts'

const workshop = demoWorkshop()
const demo = demoOrder('observatory')
const last = (search: ReturnType<typeof lighterOffer>): LighterOffer => {
  for (;;) {
    const { value, done } = search.next()
    if (done) return value
  }
}
const hue = (hex: string) => {
  const [, a, b] = hexToLab(hex)
  return (Math.atan2(b, a) * 180) / Math.PI
}

describe('lighter versions of the demo order', () => {
  let offer: LighterOffer
  const first: LighterOffer[] = []
  beforeAll(() => {
    const search = lighterOffer(demo, workshop, null)
    for (;;) {
      const { value, done } = search.next()
      if (done) {
        offer = value
        break
      }
      if (value.offer) first.push(value.offer)
    }
  }, 60_000)

  it('halve the piping at a look of .8, and take a third off all of it at .9', () => {
    const { now, versions } = offer
    const half = versions.filter((v) => v.look >= 0.8 && v.takes.pipingMinutes < now.pipingMinutes / 2)
    const third = versions.filter((v) => v.look >= 0.9 && v.takes.minutes <= (2 / 3) * now.minutes)
    expect(half.length).toBeGreaterThan(0)
    expect(third.length).toBeGreaterThan(0)
    expect(first[0]!.versions.length).toBeGreaterThan(2)
  })

  it('come to what the plan of that order says, and to no order that cannot be', () => {
    const words = planFigures(demo, workshop).uses.filter((u) => u.form === 'words').length
    for (const v of offer.versions) {
      const then = asVersion(demo, v.changes)
      expect(orderFaults(then, workshop)).toEqual([])
      const plan = planFigures(then, workshop)
      expect(v.takes).toEqual({
        minutes: plan.totals.handsOnMinutes,
        pipingMinutes: plan.hands.piping,
        grams: plan.totals.mixedGrams,
        bags: plan.bags.length,
        colours: plan.colours.filter((c) => c.grams > 0).length,
        cost: plan.totals.cost,
      })
      // what was written stays, and on every piece its largest flower, or one in its place
      expect(plan.uses.filter((u) => u.form === 'words')).toHaveLength(words)
      for (const piece of then.pieces) {
        const largest = { 'cup-hellebore': 'h1', 'cup-scabious': 's1', 'cup-dahlia': 'd1', cookies: 'c1' }[
          piece.id
        ]
        if (largest) expect(piece.flowers.map((f) => f.id)).toContain(largest)
      }
      expect(v.steps.every((s) => s.words.length > 10 && !s.words.includes('undefined'))).toBe(true)
    }
  })

  it('never make a green into what is not green', () => {
    const hexOf = (id: string) => demo.colours.find((c) => c.id === id)!.hex
    const merged = offer.versions.flatMap((v) => v.changes.flatMap((c) => (c.kind === 'colour' ? [c] : [])))
    expect(merged.length).toBeGreaterThan(0)
    for (const { fromId, intoId } of merged) {
      const green = (id: string) => hue(hexOf(id)) > 95 && hue(hexOf(id)) < 185
      expect(green(fromId)).toBe(green(intoId))
    }
  })

  it('are told from the nearest to the furthest, none worse than another in everything', () => {
    const { versions } = offer
    expect(versions.map((v) => v.look)).toEqual([...versions.map((v) => v.look)].sort((a, b) => b - a))
    for (const a of versions)
      for (const b of versions)
        if (a !== b)
          expect(
            a.look >= b.look &&
              a.takes.minutes < b.takes.minutes &&
              a.takes.pipingMinutes < b.takes.pipingMinutes &&
              a.look - b.look > 0.02,
          ).toBe(false)
  })

  it('can be taken in part: what is left in is all that changes', () => {
    const version = offer.versions.at(-1)!
    const some = version.changes.filter((c) => c.kind === 'rows')
    const then = asVersion(demo, some)
    expect(then.colours).toEqual(demo.colours)
    const counted = versionOf(demo, workshop, some)
    expect(counted.look).toBeGreaterThan(version.look)
    expect(counted.takes.minutes).toBeGreaterThan(version.takes.minutes)
    expect(versionOf(demo, workshop, [])).toMatchObject({ look: 1, takes: offer.now, steps: [] })
  })
})

it('changes only the piece that may change', () => {
  const offer = last(lighterOffer(demo, workshop, 'cup-dahlia'))
  expect(offer.versions.length).toBeGreaterThan(0)
  for (const v of offer.versions) {
    const then = asVersion(demo, v.changes)
    for (const piece of demo.pieces)
      if (piece.id !== 'cup-dahlia') expect(then.pieces.find((p) => p.id === piece.id)).toBe(piece)
  }
}, 60_000)

it('offers orders made at random nothing that cannot be planned or is more work', () => {
  for (const order of fc.sample(orders, { numRuns: 2, seed: 5 })) {
    const { now, versions } = last(lighterOffer(order, workshop, null))
    for (const v of versions) {
      expect(v.takes.minutes).toBeLessThan(now.minutes + 1)
      expect(v.look).toBeGreaterThan(0.5)
      expect(orderFaults(asVersion(order, v.changes), workshop)).toEqual([])
    }
  }
}, 120_000)

describe('a change', () => {
  const on = { pieceId: 'tier-lower', placedId: 'l5' }
  const sites = (order: Order) =>
    order.pieces.find((p) => p.id === on.pieceId)!.layouts[0]!.sites.filter((s) => s.placedId === on.placedId)
  it('keeps so large a share of the places of a flower, spread over all of them', () => {
    const before = sites(demo)
    const change: LighterChange = { kind: 'fewer', ...on, share: 0.45, sizeMm: 30 }
    const then = lightened(demo, [change])
    // eleven: five are left
    expect(before).toHaveLength(11)
    expect(sites(then)).toHaveLength(5)
    expect(sites(then).map((s) => s.id)).toEqual([1, 3, 5, 7, 9].map((i) => before[i]!.id))
    const placed = then.pieces.find((p) => p.id === on.pieceId)!.flowers.find((f) => f.id === on.placedId)!
    expect(placed.sizeMm).toBe(30)
    expect(sites(lightened(demo, [{ ...change, share: 0.01 }]))).toHaveLength(1)
  })

  it('to paint takes the layers away and puts as many painted details on as there are flowers', () => {
    const night = demo.colours.find((c) => c.id === 'night')!
    const layers = workshop.flowers.find((f) => f.id === 'anemone')!.layers
    const fine = layers.filter((l) => l.load.kind === 'plain' && l.load.role === 'button').map((l) => l.id)
    const paint = (pieceId: string, placedId: string): LighterChange => ({
      ...{
        kind: 'painted',
        pieceId,
        placedId,
        leftOut: fine,
        name: 'Night painted on Anemone',
        hex: night.hex,
      },
    })
    const changes = [paint('tier-lower', 'l2'), paint('cookies', 'c1')]
    const then = asVersion(demo, changes)
    expect(orderFaults(then, workshop)).toEqual([])
    const [before, plan] = [planFigures(demo, workshop), planFigures(then, workshop)]
    // three anemones on the cake and one on each of 24 cookies, six seconds each
    expect(plan.setOns.map((s) => Math.round(s.amount)).sort((a, b) => a - b)).toEqual([3, 24])
    expect(plan.hands.setOns).toBeCloseTo((27 * 6) / 60, 6)
    expect(before.batches.filter((b) => b.colourId === 'night').length).toBeGreaterThan(0)
    expect(plan.batches.filter((b) => b.colourId === 'night')).toEqual([])
    // it shows as it did, a little flatter; nobody has read the bottle
    const version = versionOf(demo, workshop, changes)
    expect(version.look).toBeGreaterThan(0.98)
    expect(version.look).toBeLessThan(1)
    expect(then.setOns.every((s) => s.edible === 'unread' && s.kind === 'painted')).toBe(true)
    // painted twice is painted once
    expect(asVersion(then, changes).setOns).toHaveLength(2)
  })

  it('to another flower forgets what was chosen for the layers of the one before', () => {
    const chosen = {
      ...demo,
      pieces: demo.pieces.map((p) => ({
        ...p,
        flowers: p.flowers.map((f) =>
          f.id === 'd1' ? { ...f, tips: { dome: 'round-8' }, leftOut: ['heart'] } : f,
        ),
      })),
    }
    const then = lightened(chosen, [
      {
        kind: 'flower',
        pieceId: 'cup-dahlia',
        placedId: 'd1',
        flowerId: 'zinnia',
        colours: { petal: 'brass' },
        sizeMm: 50,
      },
    ])
    const placed = then.pieces.find((p) => p.id === 'cup-dahlia')!.flowers[0]!
    expect(placed).toMatchObject({ flowerId: 'zinnia', tips: {}, leftOut: [], sizeMm: 50 })
    expect(orderFaults(then, workshop)).toEqual([])
  })
})
