import { type Allergen, allergenWords } from '../common.ts'
import type { Order } from '../model/order.ts'
import type { PlanFigures } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'

/** What Kanten can say of one thing that must not be in an order, and what it cannot. */
export interface AllergenProof {
  allergen: Allergen
  words: string
  /** Ingredients that are said to contain it, with their icing. */
  contains: string[]
  /** Ingredients whose name lets one expect it although nothing is said: somebody must read the label. */
  doubtful: string[]
  /** Ingredients that were looked at and are said to be without it. */
  without: string[]
  /** What goes on the pieces and Kanten knows nothing about. */
  unknown: string[]
}

/** Words in an ingredient's name that make one look at the label. */
const suspects: Partial<Record<Allergen, RegExp>> = {
  milk: /butter|cream|milk|whey|yogh?urt|cheese|ghee|casein/i,
  egg: /\begg|meringue|albumen|mayonnaise/i,
  gluten: /wheat|flour|barley|rye|spelt|malt|semolina|biscuit/i,
  soy: /soy|lecithin|margarine/i,
  nuts: /nut\b|nuts\b|almond|hazel|pistachio|walnut|pecan|cashew|macadamia|marzipan|praline|nougat/i,
}
/** Nuts by name only: a coconut and a nutmeg are none. */
const innocent = /coconut|nutmeg|nutrition|peanut-free|nut-free|egg-free|dairy-free|cocoa butter/i

/** Everything looked at for each thing that the order must be without: the proof, as far as there is one. */
export function allergenProof(order: Order, plan: PlanFigures, workshop: Workshop): AllergenProof[] {
  const icings = [plan.base, ...plan.otherBases].flatMap((made) => {
    const icing = workshop.icings.find((i) => i.id === made.kind)
    return icing && made.grams > 0 ? [icing] : []
  })
  const looked = icings.flatMap((icing) =>
    icing.ingredients.map((ingredient) => ({ ...ingredient, label: `${ingredient.name} (${icing.name})` })),
  )
  const put = new Set(plan.setOns.map((s) => s.setOnId))
  const things = order.setOns.filter((t) => put.has(t.id))
  const dyes = workshop.dyes.filter((d) => d.owned).map((d) => d.name.toLowerCase())
  return order.avoid.map((allergen) => {
    const has = looked.filter((i) => i.allergens.includes(allergen))
    const rest = looked.filter((i) => !i.allergens.includes(allergen))
    const suspect = suspects[allergen]
    const doubted = rest.filter((i) => suspect?.test(i.name) && !innocent.test(i.name))
    return {
      allergen,
      words: allergenWords[allergen],
      contains: [
        ...has.map((i) => i.label),
        ...things.filter((t) => t.allergens.includes(allergen)).map((t) => t.name),
      ],
      doubtful: doubted.map((i) => i.label),
      without: rest.filter((i) => !doubted.includes(i)).map((i) => i.label),
      unknown: [
        ...(dyes.length > 0 && plan.colours.length > 0 ? [`the labels of the dyes: ${dyes.join(', ')}`] : []),
        ...(order.pieces.length > 0
          ? [`what is under the icing: ${order.pieces.map((p) => p.name).join(', ')}`]
          : []),
        // what nobody has ticked for a bought thing says nothing about it
        ...things
          .filter((t) => !t.allergens.includes(allergen))
          .map((t) => `the label of ${t.name}${t.labelWords ? ` (“${t.labelWords}”)` : ''}`),
        'what else was made with the same bowls, bags and tips',
      ],
    }
  })
}
