import type { Bag, Plan } from '#core/model/plan'
import type { OwnedTip } from '#core/model/tip'
import type { Workshop } from '#core/model/workshop'
import { usableGrams } from '#core/plan/bagStock'
import type { OpeningFill } from '../../../drawings/OpeningDrawing.tsx'

/** What the drawings of a bag need, looked up once. */
export function bagDrawn(bag: Bag, plan: Plan, workshop: Workshop) {
  const hexes = new Map(plan.colours.map((c) => [c.id, c.hex]))
  const names = new Map(plan.colours.map((c) => [c.id, c.name]))
  const stock = workshop.bags.find((b) => b.id === bag.bagStockId)
  const icing = workshop.icings.find((i) => i.id === bag.icingKindId)
  const tips = bag.tipIds
    .map((id) => workshop.tips.find((t) => t.id === id))
    .filter((t): t is OwnedTip => t !== undefined)
  const perFilling = bag.grams / bag.fillings
  const room = stock && icing ? usableGrams(stock, icing.density, workshop.settings) : perFilling
  const lying = bag.load.map((l) => ({
    hex: hexes.get(l.colourId) ?? '#ffffff',
    share: l.grams / bag.grams,
  }))
  // tones around the wall are seen twice from the side: the outermost at both edges
  const half = lying.map((s) => ({ ...s, share: s.share / 2 }))
  const stripes = bag.layout === 'layered' ? [...half, ...[...half].reverse()] : lying
  const fills: OpeningFill[] =
    bag.layout === 'striped' && stripes.length === 2
      ? [
          { hex: stripes[0]!.hex, until: bag.border ?? 0.5 },
          { hex: stripes[1]!.hex, until: 1 },
        ]
      : stripes.map((s, i) => ({ hex: s.hex, until: (i + 1) / stripes.length }))
  return {
    stock,
    tips,
    stripes,
    fills,
    fill: perFilling / room,
    colourNames: bag.load.map((l) => names.get(l.colourId) ?? l.colourId),
    cut: tips.every((t) => t.base === 'none'),
    parchment: stock?.kind === 'parchment',
  }
}
