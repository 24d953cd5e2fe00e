import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Order } from '../model/order.ts'
import type { PlanFigures, Use } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { planFigures } from './index.ts'
import { quote } from './quote.ts'
import { demoOrder, demoWorkshop, orders } from './testing.ts'

/**
 * A second opinion on a whole plan: every figure worked out again from what the flowers weigh and the bakery's settings,
 * by the rules of docs/calculations.md and without the code that made it.
 */
const COAT_SPREAD = 0.08
const WORDS_SPREAD = 0.15
const total = (numbers: readonly number[]) => numbers.reduce((a, b) => a + b, 0)
const groups = <T>(items: readonly T[], key: (item: T) => string) => {
  const made = new Map<string, T[]>()
  for (const item of items) made.set(key(item), [...(made.get(key(item)) ?? []), item])
  return [...made.values()]
}
const near = (found: number, wanted: number, what: string) =>
  expect(Math.abs(found - wanted), `${what}: ${found} for ${wanted}`).toBeLessThan(
    1e-6 * Math.max(1, Math.abs(wanted)),
  )

interface Case {
  name: string
  order: Order
  workshop: Workshop
  plan: PlanFigures
}

/** The demo orders, two dozen made at random, and the same with other settings, safeties and practice. */
const cases: Case[] = [
  ...(['observatory', 'allotment', 'reading-room'] as const).map((name) => ({
    name,
    order: demoOrder(name),
    workshop: demoWorkshop(),
  })),
  ...fc.sample(orders, { numRuns: 20, seed: 31 }).map((order, i) => ({
    name: `order ${i}`,
    order: {
      ...order,
      safety: (['tight', 'safe', 'unmatchable'] as const)[i % 3]!,
      practicePerFlower: i % 4,
    },
    workshop: {
      ...starterWorkshop,
      settings: {
        ...starterWorkshop.settings,
        scaleStepGrams: [1, 5, 0.5][i % 3]!,
        hourlyRate: 18 + i,
        bowlResidueGrams: 3 * (i % 5),
      },
    },
  })),
].map((c) => ({ ...c, plan: planFigures(c.order, c.workshop) }))

const flowerOf = ({ workshop }: Case, use: Use) => workshop.flowers.find((f) => f.id === use.flowerId)
const byPlacement = (plan: PlanFigures) =>
  groups(
    plan.uses.filter((u) => u.placedId !== null),
    (u) => `${u.pieceId} ${u.placedId}`,
  )

describe.each(cases.map((c) => [c.name, c] as const))('the books of %s', (_, found) => {
  const { plan, order, workshop } = found
  const { settings } = workshop

  it('spares: what spoils, rounded up to whole flowers, and one at the least of what is lifted', () => {
    for (const use of plan.uses) {
      const flower = flowerOf(found, use)
      if (!flower) {
        expect([use.spares, use.practice]).toEqual([0, 0])
        continue
      }
      const spoil = Math.ceil(use.flowers * flower.spoilRate)
      expect(use.spares).toBe(flower.setting === 'nail' ? Math.max(1, spoil) : spoil)
      for (const part of use.parts) {
        near(part.spoiled, (part.piped * use.spares) / use.flowers, 'spoiled')
        near(part.practice, (part.piped * use.practice) / use.flowers, 'practice')
      }
    }
  })

  it('practice: as many as asked for of each kind of flower, once in the order', () => {
    for (const of of groups(byPlacement(plan), (uses) => uses[0]!.flowerId!)) {
      const practised = of.filter((uses) => uses[0]!.practice > 0)
      expect(practised).toHaveLength(order.practicePerFlower > 0 ? 1 : 0)
      for (const use of practised.flat()) expect(use.practice).toBe(order.practicePerFlower)
      // where it is piped most often
      if (practised[0]) expect(practised[0][0]!.flowers).toBe(Math.max(...of.map((uses) => uses[0]!.flowers)))
    }
  })

  it('margins: of every bowl shared out by how much its kinds scatter, and among a kind by its grams', () => {
    const parts = plan.uses.flatMap((use) =>
      use.parts.map((part) => ({
        bowl: `${use.icingKindId} ${part.colourId} ${use.stiffness}`,
        kind: use.flowerId ?? `${use.form} of ${use.pieceId}`,
        spread: flowerOf(found, use)?.spread ?? (use.form === 'words' ? WORDS_SPREAD : COAT_SPREAD),
        grams: part.piped + part.spoiled + part.practice,
        margin: part.margin,
      })),
    )
    for (const bowl of groups(parts, (p) => p.bowl)) {
      const whole = total(bowl.map((p) => p.margin))
      const kinds = groups(bowl, (p) => p.kind)
      const scatter = (of: typeof bowl) => (of[0]!.spread * total(of.map((p) => p.grams))) ** 2
      const all = total(kinds.map(scatter))
      for (const kind of kinds) {
        near(total(kind.map((p) => p.margin)), (whole * scatter(kind)) / all, bowl[0]!.bowl)
        const grams = total(kind.map((p) => p.grams))
        const margin = total(kind.map((p) => p.margin))
        for (const part of kind) near(part.margin, (margin * part.grams) / grams, part.kind)
      }
    }
  })

  it('bags: what they pipe, what stays in bag and coupler, and what makes them fit to be worked', () => {
    for (const bag of plan.bags) {
      const uses = plan.uses.filter((u) => bag.useIds.includes(u.id))
      const wanted = total(
        uses.flatMap((u) => u.parts.map((p) => p.piped + p.spoiled + p.practice + p.margin)),
      )
      const stock = workshop.bags.find((b) => b.id === bag.bagStockId)
      const stays = (stock?.residueGrams ?? 0) + (bag.coupler === 'none' ? 0 : settings.couplerResidueGrams)
      near(bag.residueGrams, stays, 'residue')
      near(bag.grams, wanted + stays + bag.topUpGrams, 'in the bag')
      near(total(bag.load.map((l) => l.grams)), bag.grams, 'its colours')
      near(total(bag.load.map((l) => l.staysGrams)), bag.residueGrams + bag.topUpGrams, 'what stays')
      const least =
        stock?.kind === 'parchment'
          ? settings.leastConeGrams
          : stock && stock.lengthMm < 180
            ? Math.min(25, settings.leastBagGrams)
            : settings.leastBagGrams
      expect(bag.grams).toBeGreaterThanOrEqual(least - 1e-6)
      // topped up only where it would be too little
      if (bag.topUpGrams > 1e-6 && bag.load.length === 1) near(bag.grams, least, 'topped up')
      const density = workshop.icings.find((i) => i.id === bag.icingKindId)!.density
      // a cone with a mouth of 1.2 lengths around, two thirds full
      const volume = stock
        ? ((Math.PI * ((1.2 * stock.lengthMm) / (2 * Math.PI)) ** 2 * stock.lengthMm) / 3000) * (2 / 3)
        : 0
      const holds = Math.min(volume * density, settings.handfulGrams)
      if (stock) expect(bag.fillings).toBe(Math.max(1, Math.ceil(bag.grams / holds)))
    }
  })

  it('bowls: all that is wanted of them, rounded up by less than a step, thinned as the icing says', () => {
    const wanted = new Map<string, number>()
    const add = (key: string, grams: number) => wanted.set(key, (wanted.get(key) ?? 0) + grams)
    for (const use of plan.uses)
      for (const p of use.parts)
        add(`${use.icingKindId} ${p.colourId} ${use.stiffness}`, p.piped + p.spoiled + p.practice + p.margin)
    for (const bag of plan.bags)
      for (const { colourId, staysGrams } of bag.load)
        add(`${bag.icingKindId} ${colourId} ${bag.stiffness}`, staysGrams)
    expect(plan.batches).toHaveLength(wanted.size)
    for (const bowl of plan.batches) {
      const exact =
        wanted.get(`${bowl.icingKindId} ${bowl.colourId} ${bowl.stiffness}`)! + settings.bowlResidueGrams
      expect(bowl.grams).toBeGreaterThanOrEqual(exact - 1e-6)
      expect(bowl.grams - exact).toBeLessThan(settings.scaleStepGrams)
      const steps = bowl.grams / settings.scaleStepGrams
      near(steps, Math.round(steps), 'whole steps of the scale')
      const thin = workshop.icings.find((i) => i.id === bowl.icingKindId)!.liquidPer100[bowl.stiffness]
      near(bowl.liquidGrams, (bowl.baseGrams * thin) / 100, 'liquid')
      near(bowl.baseGrams + bowl.liquidGrams + bowl.carriedGrams, bowl.grams, 'the bowl')
    }
  })

  it('base: what the bowls take and every make leaves in the mixer, none larger than the mixer', () => {
    for (const made of [plan.base, ...plan.otherBases]) {
      const need = total(plan.batches.filter((b) => b.icingKindId === made.kind).map((b) => b.baseGrams))
      const count = need > 0 ? Math.ceil(need / (settings.mixerGrams - settings.mixerResidueGrams)) : 0
      expect(made.makes).toHaveLength(count)
      near(made.grams, need + count * settings.mixerResidueGrams, 'base')
      for (const make of made.makes) expect(make).toBeLessThanOrEqual(settings.mixerGrams + 1e-6)
      const recipe = workshop.icings.find((i) => i.id === made.kind)!
      const all = total(recipe.ingredients.map((i) => i.parts))
      made.ingredients.forEach((ingredient, i) => {
        near(
          ingredient.grams,
          (made.grams / (recipe.yieldPercent / 100)) * (recipe.ingredients[i]!.parts / all),
          ingredient.name,
        )
      })
    }
  })

  it('minutes: making, bowls, bags, changes, hands on the pieces', () => {
    const portions = plan.batches.length
    const carried = new Set(
      plan.batches.filter((b) => b.carriedGrams > 0).map((b) => `${b.icingKindId} ${b.colourId}`),
    ).size
    const makes = total([plan.base, ...plan.otherBases].map((b) => b.makes.length))
    near(plan.hands.base, 8 * makes, 'base')
    near(plan.hands.bowls, 5 * portions - 2 * carried, 'bowls')
    near(
      plan.hands.bags,
      total(
        plan.bags.map(
          (b) =>
            settings.bagMinutes +
            (b.fillings - 1) * settings.refillMinutes +
            (b.coupler === 'none' ? 0 : settings.couplerMinutes),
        ),
      ),
      'bags',
    )
    near(
      plan.hands.changes,
      settings.changeMinutes * plan.totals.changes + settings.washMinutes * plan.totals.washes,
      'changes',
    )
    const worked = (uses: readonly Use[]) =>
      total(uses.map((u) => ((u.seconds / u.flowers) * (u.flowers + u.spares + u.practice)) / 60))
    near(plan.hands.coats, worked(plan.uses.filter((u) => u.form === 'coat')), 'coats')
    near(plan.hands.piping, worked(plan.uses.filter((u) => u.form !== 'coat')), 'piping')
    const lifted = byPlacement(plan).filter(([first]) => first!.setting === 'nail')
    const again = plan.uses.filter((u) => u.waited).map((u) => 0.1 * (u.flowers + u.spares + u.practice))
    near(
      plan.hands.nails,
      total(again) +
        total(lifted.map(([u]) => 0.15 * (u!.flowers + u!.spares + u!.practice) + 0.2 * u!.flowers)),
      'nails',
    )
    near(plan.totals.handsOnMinutes, total(Object.values(plan.hands)), 'all hands')
  })

  it('money: packs by their share, hands by the hour, and the pieces pay for all of it', () => {
    const spent = [plan.base, ...plan.otherBases].flatMap((made) => {
      const recipe = workshop.icings.find((i) => i.id === made.kind)!
      return made.ingredients.map((g, i) => {
        const { packGrams, pricePerPack } = recipe.ingredients[i]!
        return (g.grams / packGrams) * pricePerPack
      })
    })
    near(plan.totals.cost, total(spent), 'ingredients')
    const quoted = quote(order, plan, settings)
    near(total(quoted.map((q) => q.ingredientsEach * q.count)), plan.totals.cost, 'ingredients by piece')
    near(
      total(quoted.map((q) => q.labourEach * q.count)),
      (plan.totals.handsOnMinutes / 60) * settings.hourlyRate,
      'hands by piece',
    )
    near(total(quoted.map((q) => q.gramsEach * q.count)), plan.totals.pipedGrams, 'icing by piece')
  })

  it('totals: sums of what they are sums of', () => {
    expect(plan.totals.pieces).toBe(total(order.pieces.map((p) => p.count)))
    near(plan.totals.pipedGrams, total(plan.uses.flatMap((u) => u.parts.map((p) => p.piped))), 'piped')
    near(plan.totals.mixedGrams, total(plan.batches.map((b) => b.baseGrams + b.liquidGrams)), 'mixed')
    const flowers = byPlacement(plan).filter(([u]) => u!.form === 'flower')
    expect(plan.totals.flowers).toBe(total(flowers.map(([u]) => u!.flowers)))
    for (const key of ['spoiled', 'practice', 'margin'] as const)
      near(plan.reserve[key], total(plan.uses.flatMap((u) => u.parts.map((p) => p[key]))), key)
    for (const colour of plan.colours)
      near(
        colour.grams,
        total(plan.batches.filter((b) => b.colourId === colour.id).map((b) => b.grams)),
        colour.name,
      )
    near(plan.residues.bags, total(plan.bags.map((b) => b.residueGrams)), 'in bags')
    near(plan.residues.topUps, total(plan.bags.map((b) => b.topUpGrams)), 'topped up')
    near(plan.residues.bowls, settings.bowlResidueGrams * plan.batches.length, 'in bowls')
    near(
      plan.residues.mixer,
      settings.mixerResidueGrams * total([plan.base, ...plan.otherBases].map((b) => b.makes.length)),
      'in the mixer',
    )
  })
})
