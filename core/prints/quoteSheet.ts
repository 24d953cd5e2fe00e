import type { Piece } from '../model/order.ts'
import { formatLength } from '../units.ts'
import { containsWords } from './boxLabels.ts'
import { type Block, type Print, someOf, words } from './print.ts'
import { hexesOf, momentWords, type PrintOf } from './printOf.ts'

const TRAVEL = { collected: 'Collected', delivered: 'Delivered', onSite: 'Finished at your place' } as const

/** What the customer is offered: pieces, colours, flowers, prices as they were set; nothing that only the bakery counts. */
export function quoteSheet({ frozen }: PrintOf): Print {
  const { order, workshop } = frozen
  const { currency, bakery } = workshop.settings
  const money = (value: number) => `${currency} ${value.toFixed(2)}`
  const priceOf = (piece: Piece): number | undefined => order.offer.prices[piece.id]
  const open = order.pieces.filter((p) => priceOf(p) === undefined)
  const sum = order.pieces.reduce((all, p) => all + p.count * (priceOf(p) ?? 0), 0)
  const blocks: Block[] = [
    {
      kind: 'words',
      text: `${bakery}${order.customer ? `, for ${order.customer}` : ''}. ${TRAVEL[order.travel]} ${momentWords(frozen, order.collectAt)}.`,
    },
    {
      kind: 'table',
      head: ['how many', 'what', 'with', 'colours', 'each', 'together'],
      widths: ['least', 'rest', 'rest', 'least', 'least', 'least'],
      rows: order.pieces.map((piece) => {
        const price = priceOf(piece)
        return [
          words(String(piece.count), { right: true, strong: true }),
          words(piece.name),
          words(wornWords(piece, frozen)),
          { kind: 'colours', hexes: hexesOf(frozen, coloursOf(piece)) },
          words(price === undefined ? 'to be agreed' : money(price), { right: true }),
          words(price === undefined ? '' : money(price * piece.count), { right: true }),
        ]
      }),
    },
    ...(open.length === order.pieces.length
      ? []
      : [
          {
            kind: 'words' as const,
            text: `${open.length > 0 ? 'So far' : 'In all'}: ${money(sum)}${open.length > 0 ? ', without what is still to be agreed' : ''}.`,
          },
        ]),
    {
      kind: 'words',
      text: `The icing and what is put on contain: ${[...new Set(order.pieces.map((p) => containsWords(frozen, p)))].join('; ')}. Tell us what anybody must not eat.`,
    },
    ...(order.offer.words.trim() ? [{ kind: 'words' as const, text: order.offer.words }] : []),
  ]
  return {
    ...{ kind: 'blocks', title: `For ${order.title}`, blocks },
    notes: open.length > 0 ? [`No price yet: ${someOf(open.map((p) => p.name))}.`] : [],
  }
}

function wornWords(piece: Piece, { workshop, order }: PrintOf['frozen']): string {
  const { lengths } = workshop.settings
  const flowers = piece.flowers.flatMap((f) => {
    const flower = workshop.flowers.find((x) => x.id === f.flowerId)
    if (!flower) return []
    return f.sizeMm === null ? flower.name : `${flower.name} (${formatLength(f.sizeMm, lengths)})`
  })
  const things = piece.setOns.flatMap((s) => order.setOns.find((t) => t.id === s.setOnId)?.name ?? [])
  const said = piece.layouts.flatMap((l) => l.words.map((w) => `“${w.text}”`))
  return [...new Set([...flowers, ...things, ...said])].join(', ')
}

const coloursOf = (piece: Piece): string[] => [
  ...new Set([
    ...(piece.coat ? [piece.coat.colourId] : []),
    ...piece.flowers.flatMap((f) => Object.values(f.colours)),
  ]),
]
