import { allergenWords } from '../common.ts'
import { ALLERGENS_HERE } from '../model/labels.ts'
import type { Piece } from '../model/order.ts'
import { counted } from '../units.ts'
import type { Label } from './label.ts'
import { momentWords, type PrintOf } from './printOf.ts'

/** A label for every box: cakes and what stands on a board have one each, small pieces one for each kind. */
export function boxLabels({ frozen }: PrintOf): Label[] {
  const { order, plan, workshop } = frozen
  const boxes = order.pieces.flatMap((piece) => {
    const single =
      plan.cakes.some((c) => c.pieceId === piece.id) || plan.boards.some((b) => b.pieceId === piece.id)
    return Array.from({ length: single ? piece.count : 1 }, () => ({
      piece,
      count: single ? 1 : piece.count,
    }))
  })
  return boxes.map(
    ({ piece, count }, i): Label => ({
      sort: `Box of ${boxes.length}`,
      big: String(i + 1),
      title: count > 1 ? `${count} ${piece.name}` : piece.name,
      hexes: [],
      lines: [
        workshop.settings.boxWords.replaceAll(ALLERGENS_HERE, containsWords(frozen, piece)),
        ...removeWords(frozen, piece),
        workshop.settings.keepWords,
        `${order.title}, for ${momentWords(frozen, order.collectAt)}`,
        workshop.settings.bakery,
      ].filter((line) => line.trim() !== ''),
      tip: null,
      code: null,
    }),
  )
}

/** What the icing of a piece and what is put on it are said to contain. */
export function containsWords({ order, workshop }: PrintOf['frozen'], piece: Piece): string {
  const icing = workshop.icings.find((i) => i.id === (piece.icingKindId ?? order.icingKindId))
  const things = piece.setOns.flatMap((s) => order.setOns.find((t) => t.id === s.setOnId) ?? [])
  const all = new Set([...(icing?.ingredients ?? []), ...things].flatMap((i) => i.allergens))
  return all.size > 0 ? [...all].map((a) => allergenWords[a]).join(', ') : 'none that we know of'
}

/** What must come off or out before anybody eats. */
function removeWords({ order, plan }: PrintOf['frozen'], piece: Piece): string[] {
  const off = piece.setOns.flatMap((s) => {
    const thing = order.setOns.find((t) => t.id === s.setOnId)
    return thing && thing.edible !== 'yes' ? [thing.name.toLowerCase()] : []
  })
  const cake = plan.cakes.find((c) => c.pieceId === piece.id)
  const supports = cake?.tiers.reduce((sum, t) => sum + (t.supports?.count ?? 0), 0) ?? 0
  return [
    ...(off.length > 0 ? [`Take off before eating: ${[...new Set(off)].join(', ')}.`] : []),
    ...(supports > 0
      ? [
          `Inside, take out while cutting: ${counted(supports, 'support')}${cake?.rod ? ', a rod' : ''} and boards.`,
        ]
      : []),
  ]
}
