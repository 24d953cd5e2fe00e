import { shortOpening } from '../tips/index.ts'
import type { Label } from './label.ts'
import { openingDrawing } from './openingDrawing.ts'
import {
  colourNames,
  fillStep,
  hexesOf,
  layersWords,
  momentWords,
  type PrintOf,
  weightIn,
} from './printOf.ts'

/** A label for every filling of every bag, in the order in which they are taken up. */
export function bagLabels({ frozen, codeOf }: PrintOf): Label[] {
  const { plan, workshop, order } = frozen
  return plan.bags.flatMap((bag) => {
    const tips = bag.tipIds.flatMap((id) => workshop.tips.find((t) => t.id === id) ?? [])
    const [tip] = tips
    const uses = plan.uses.filter((u) => bag.useIds.includes(u.id))
    const from = fillStep(frozen, bag.number)?.at
    return Array.from(
      { length: bag.fillings },
      (_, i): Label => ({
        sort: 'Bag',
        big: String(bag.number),
        title: colourNames(frozen, bag).join(' + '),
        hexes: hexesOf(
          frozen,
          bag.load.map((l) => l.colourId),
        ),
        lines: [
          ...layersWords(uses),
          `${bag.stiffness}, ${tip ? tips.map((t) => shortOpening(t.opening)).join('; ') : 'no tip'}`,
          `filling ${i + 1} of ${bag.fillings}, ${weightIn(frozen, bag.grams / bag.fillings)}`,
          ...(from ? [momentWords(frozen, from)] : []),
          order.title,
        ],
        tip: tip ? openingDrawing(tip.opening) : null,
        code: codeOf(`?bag=${bag.number}`),
      }),
    )
  })
}
