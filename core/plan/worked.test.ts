import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { readOrderFile, withFile } from '../files/orderFile.ts'
import { planFigures } from './index.ts'

/** The order worked out by hand in docs/calculations.md, "A worked order"; figures below are that page's. */
const read = readOrderFile(
  JSON.parse(readFileSync(new URL('../../docs/worked-order.json', import.meta.url), 'utf8')),
  starterWorkshop,
)
if (!read.ok) throw new Error(JSON.stringify(read.faults))
const plan = planFigures(read.value.order, withFile(starterWorkshop, read.value))

describe('the worked order', () => {
  it('demands what the shapes weigh', () => {
    const piped = Object.fromEntries(plan.uses.map((u) => [u.layerName, u.parts[0]!.piped]))
    expect(piped['2 mm coat']).toBeCloseTo(90.478, 3)
    expect(piped.Peg).toBeCloseTo(13.232, 3)
    expect(piped.Line).toBeCloseTo(16.965, 3)
  })

  it('reserves spares, practice and a margin', () => {
    expect(plan.reserve.spoiled).toBeCloseTo(2.013, 3)
    expect(plan.reserve.practice).toBeCloseTo(1.007, 3)
    expect(plan.reserve.margin).toBeCloseTo(12.837 + 2.846, 2)
  })

  it('fills two cones', () => {
    expect(plan.bags.map((b) => [b.bagStockId, b.tipIds, b.fillings])).toEqual([
      ['cone', ['round-5'], 1],
      ['cone', ['round-4'], 1],
    ])
    expect(plan.bags[0]!.grams).toBeCloseTo(20.402, 2)
    expect(plan.bags[1]!.grams).toBeCloseTo(22.461, 2)
  })

  it('mixes two bowls and makes the base for them', () => {
    expect(plan.batches.map((b) => [b.colourId, b.stiffness, b.grams])).toEqual([
      ['sand', 'soft', 135],
      ['clay', 'stiff', 30],
    ])
    expect(plan.batches[0]!.baseGrams).toBeCloseTo(129.808, 3)
    expect(plan.base.grams).toBeCloseTo(184.808, 3)
    expect(plan.base.ingredients.map((i) => [i.name, Math.round(i.grams * 10) / 10])).toEqual([
      ['Butter, unsalted', 73.9],
      ['Icing sugar', 105.3],
      ['Whipping cream', 5.5],
    ])
  })
})
