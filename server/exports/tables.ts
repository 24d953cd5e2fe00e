import { type CsvRow, toCsv } from '#core/files/csv'
import type { Order } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { describeOpening } from '#core/tips/index'
import { timelineTable } from './timeline.ts'

type Table = (plan: Plan, order: Order, workshop: Workshop) => CsvRow[]

const round = (value: number, decimals = 1) => Math.round(value * 10 ** decimals) / 10 ** decimals

const colourNames = (plan: Plan) => new Map(plan.colours.map((c) => [c.id, c.name]))

/** Every table of a plan that exports as CSV; grams to a tenth. */
const tables = {
  colours: (plan) => plan.colours.map((c) => ({ colour: c.name, hex: c.hex, grams: round(c.grams) })),
  batches: (plan) => {
    const names = colourNames(plan)
    return plan.batches.map((b) => ({
      order: b.order,
      colour: names.get(b.colourId) ?? b.colourId,
      icing: b.icingKindId,
      stiffness: b.stiffness,
      grams: round(b.grams),
      base_grams: round(b.baseGrams),
      liquid_grams: round(b.liquidGrams),
      piped_grams: round(b.pipedGrams),
      reserve_grams: round(b.reserveGrams),
      stays_in_bags_grams: round(b.bagResidueGrams),
      stays_in_bowl_grams: round(b.bowlResidueGrams),
      rounding_grams: round(b.roundingGrams),
      bags: b.bagNumbers.join(' '),
    }))
  },
  bags: (plan, _order, workshop) => {
    const names = colourNames(plan)
    const tips = new Map(workshop.tips.map((t) => [t.id, describeOpening(t.opening)]))
    return plan.bags.map((b) => ({
      bag: b.number,
      label: b.label,
      size: workshop.bags.find((s) => s.id === b.bagStockId)?.name ?? '',
      coupler: b.coupler,
      tips: b.tipIds.map((id) => tips.get(id) ?? id).join('; '),
      load: b.load.map((l) => `${names.get(l.colourId) ?? l.colourId} ${round(l.grams)} g`).join('; '),
      grams: round(b.grams),
      fillings: b.fillings,
      changes: b.changes,
      stays_behind_grams: round(b.residueGrams),
      top_up_grams: round(b.topUpGrams),
    }))
  },
  base: (plan) =>
    [plan.base, ...plan.otherBases].flatMap((base) =>
      base.ingredients.map((i) => ({
        icing: base.name,
        makes: base.makes.length,
        ingredient: i.name,
        grams: round(i.grams),
        grams_per_make: base.makes.length > 0 ? round(i.grams / base.makes.length) : 0,
      })),
    ),
  supplies: (plan) =>
    plan.supplies.map((s) => ({
      kind: s.kind,
      name: s.name,
      needed: round(s.needed),
      unit: s.unit,
      owned: s.owned,
      short: round(s.short),
      packs: s.packs,
      cost: s.cost === null ? null : round(s.cost, 2),
    })),
  demand: (plan, order) => {
    const names = colourNames(plan)
    const pieces = new Map(order.pieces.map((p) => [p.id, p.name]))
    return plan.uses.flatMap((use) =>
      use.parts.map((part) => ({
        piece: pieces.get(use.pieceId) ?? use.pieceId,
        flower: use.flowerName,
        layer: use.layerName,
        tip: use.tipId,
        colour: names.get(part.colourId) ?? part.colourId,
        stiffness: use.stiffness,
        flowers: use.flowers,
        strokes: use.strokes,
        piped_grams: round(part.piped, 2),
        spoiled_grams: round(part.spoiled, 2),
        practice_grams: round(part.practice, 2),
        margin_grams: round(part.margin, 2),
      })),
    )
  },
  timeline: timelineTable,
} satisfies Record<string, Table>

export type TableName = keyof typeof tables
export const tableNames = Object.keys(tables) as TableName[]

/** One table of a plan as CSV. */
export function tableCsv(name: TableName, plan: Plan, order: Order, workshop: Workshop): string {
  return toCsv(tables[name](plan, order, workshop))
}
