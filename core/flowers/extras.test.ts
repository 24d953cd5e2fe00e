import { describe, expect, it } from 'vitest'
import type { OwnedTip } from '../model/tip.ts'
import type { Opening } from '../tips/index.ts'
import { extraKinds, extraLayer } from './extras.ts'
import { laid } from './testing.ts'

const kindOf = (id: string) => extraKinds.find((k) => k.id === id)!
const tip = (id: string, opening: Opening, owned = 1): OwnedTip => ({
  id,
  opening,
  base: 'standard',
  owned,
  stamp: '',
  source: 'own',
})
const round = (diameterMm: number, owned = 1) =>
  tip(`round-${diameterMm}`, { family: 'round', diameterMm }, owned)
const DRAWER = [round(1), round(1.5), round(2), round(3)]

/** A dome with a radius of `wideMm / 2` and 10 mm tall, as a fitted flower. */
const dome = (wideMm: number, factor = 1) => ({
  factor,
  layers: [
    laid(
      { kind: 'mound', shape: 'dome', radiusMm: wideMm / 2, tallMm: 10 },
      { family: 'round', diameterMm: 6 },
    ),
  ],
  measure: { diameterMm: wideMm } as never,
})
const add = (id: string, wideMm: number, drawer = DRAWER, factor = 1) =>
  extraLayer(kindOf(id), dome(wideMm, factor), drawer, 'extra')

describe('what is set on a flower, by its width', () => {
  it.each([
    // wide, ring (a twentieth, at least 0.8 and at most 3), height (an eighth, from 2 to 8)
    [12, 0.8, 2],
    [40, 2, 4.8],
    [90, 3, 8],
  ])('stamens of a flower %f mm wide stand on a ring of %f mm, %f mm tall', (wide, ring, tall) => {
    const layer = add('stamens', wide)!
    expect(layer).toMatchObject({ count: 9, ringMm: ring, tipId: 'round-1', stiffness: 'soft' })
    expect(layer.stroke).toMatchObject({ kind: 'spike', tallMm: tall, leanDeg: 22 })
  })

  it.each([
    [20, 'round-1', 1],
    [24.9, 'round-1', 1],
    [25, 'round-1.5', 1.5],
    [60, 'round-1.5', 1.5],
  ])(
    'pips of one %f mm wide come from %s, five of them, just clear of each other',
    (wide, tipId, opening) => {
      const layer = add('pips', wide)!
      expect(layer).toMatchObject({ tipId, count: 5 })
      expect(layer.ringMm).toBeCloseTo(1.1 * opening, 9)
      expect(layer.stroke).toMatchObject({ kind: 'dot', radiusMm: 0.6 * opening, tallMm: 0.7 * opening })
      // neighbours on a ring of five are a chord apart: no more than touching
      expect(2 * layer.ringMm * Math.sin(Math.PI / 5)).toBeGreaterThan(2 * 0.6 * opening)
    },
  )

  it('dots in the gaps are one for each 5 mm of width and at least five, two thirds of the way out', () => {
    expect(add('filler', 20)).toMatchObject({ count: 5, tipId: 'round-1' })
    expect(add('filler', 20)!.ringMm).toBeCloseTo(7.2, 9)
    expect(add('filler', 42)).toMatchObject({ count: 8, tipId: 'round-2' })
    expect(add('filler', 42)!.ringMm).toBeCloseTo(15.12, 9)
  })

  it('a loose centre is a tenth of the width, neither a crumb nor a lid', () => {
    const stroke = (wide: number) => add('centre', wide)!.stroke
    expect(stroke(40)).toMatchObject({ kind: 'mound', shape: 'dome', radiusMm: 4, tallMm: 2.4 })
    expect(stroke(8)).toMatchObject({ radiusMm: 1, tallMm: 0.8 })
    expect(stroke(100)).toMatchObject({ radiusMm: 6, tallMm: 4 })
    expect([add('centre', 29)!.tipId, add('centre', 30)!.tipId]).toEqual(['round-1.5', 'round-3'])
  })

  it('may wait for its own bag, takes no part in the width and has one colour of its own', () => {
    for (const { id, label } of extraKinds)
      expect(add(id, 40)).toMatchObject({
        ...{ id: 'extra', name: label, mayWait: true, loose: true, startDeg: 0, spreadDeg: 360 },
        load: { kind: 'plain', role: 'added' },
      })
  })
})

describe('the height at which it is set', () => {
  it('is that of the icing there, half a millimetre sunk in', () => {
    // on a dome of 20 mm, the highest icing within 1.2 mm of a ring is 1.2 mm further in
    for (const [id, ring] of [
      ['centre', 0],
      ['stamens', 2],
      ['filler', 14.4],
    ] as const) {
      const inner = Math.max(0, ring - 1.2)
      const wanted = 10 * Math.sqrt(1 - (inner / 20) ** 2) - 0.5
      const found = add(id, 40)!.heightMm
      // the solid is cut a little within the dome
      expect(found, id).toBeLessThan(wanted + 0.05)
      expect(found, id).toBeGreaterThan(wanted - 0.35)
    }
  })

  it('is the mean around the ring, where only half of it carries', () => {
    const half = {
      ...dome(40),
      layers: [
        laid(
          { kind: 'dot', radiusMm: 3, tallMm: 6 },
          { family: 'round', diameterMm: 3 },
          {
            count: 12,
            ringMm: 14.4,
            startDeg: 90,
            spreadDeg: 165,
          },
        ),
      ],
    }
    const full = {
      ...half,
      layers: [laid(half.layers[0]!.layer.stroke, half.layers[0]!.tip.opening, { count: 24, ringMm: 14.4 })],
    }
    const at = (fitted: typeof half) => extraLayer(kindOf('filler'), fitted, DRAWER, 'x')!.heightMm + 0.5
    expect(at(full)).toBeGreaterThan(5)
    expect(at(half) / at(full)).toBeGreaterThan(0.45)
    expect(at(half) / at(full)).toBeLessThan(0.62)
  })

  it('is the ground where nothing is there, never below it', () => {
    const bare = { ...dome(40), layers: dome(4).layers }
    expect(extraLayer(kindOf('filler'), bare, DRAWER, 'x')!.heightMm).toBe(0)
  })

  it('is written at the recipe’s own size: a fitting that doubles it halves what is written', () => {
    const [own, doubled] = [add('stamens', 40)!, add('stamens', 40, DRAWER, 2)!]
    expect(doubled.ringMm).toBeCloseTo(own.ringMm / 2, 9)
    expect(doubled.heightMm).toBeCloseTo(own.heightMm / 2, 9)
    expect((doubled.stroke as { tallMm: number }).tallMm).toBeCloseTo(2.4, 9)
    expect(doubled.count).toBe(own.count)
  })
})

describe('the tip it comes through', () => {
  it('is the nearest that is owned; the catalogue’s only where none is', () => {
    expect(add('stamens', 40, [round(1, 0), round(2), round(4)])!.tipId).toBe('round-2')
    expect(add('stamens', 40, [round(4, 0), round(1.5, 0)])!.tipId).toBe('round-1.5')
    // nearer by ratio, not by difference: 2 mm is twice 1 mm, 0.6 mm not quite
    expect(add('stamens', 40, [round(2), round(0.6)])!.tipId).toBe('round-0.6')
  })

  it('is never a slot or a plate of holes, and a squeezed dot is made for the opening that is there', () => {
    const slots = [
      tip('slot', { family: 'petal', lengthMm: 10, wideMm: 1.6, narrowMm: 0.6 }),
      tip('holes', { family: 'multiHole', holes: 5, holeMm: 1 }),
    ]
    expect(add('centre', 40, slots)).toBeNull()
    const squeezed = add('pips', 40, [...slots, round(3)])!
    expect(squeezed).toMatchObject({ tipId: 'round-3', stroke: { radiusMm: expect.closeTo(1.8, 9) } })
    expect(add('pips', 40, [])).toBeNull()
  })
})
