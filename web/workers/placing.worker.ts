import * as Comlink from 'comlink'
import { arrangeBouquet } from '#core/bouquet/arrange'
import { withLine } from '#core/line/make'
import type { LineRead } from '#core/line/meant'
import type { Layout } from '#core/model/layout'
import type { Order, Piece } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import type { Kind } from '#core/placing/body'
import { setNumber } from '#core/placing/byHand'
import { fullnessOf } from '#core/placing/counts'
import { coveredShare } from '#core/placing/cover'
import type { Finding } from '#core/placing/findings/finding'
import { judge } from '#core/placing/judge'
import { bodiesOf, groundFor, placed as layOut } from '#core/placing/place'
import { type OrderOfKinds, type PieceOfKinds, type PlacedKind, PlacedKinds } from '#core/placing/placedKinds'
import type { BouquetOutline } from '#core/surfaces/bouquet'
import { chartOf } from '#core/surfaces/index'
import { formatLength } from '#core/units'
import { newId } from '../parts/newId.ts'

/** What is said about a layout. */
export interface Judgement {
  findings: Finding[]
  covered: number
  fullness: number
}

const newSiteId = () => `s-${newId().slice(0, 12)}`

let known: { workshop: Workshop; kinds: PlacedKinds } | null = null

const placing = {
  setWorkshop(next: Workshop): void {
    known = { workshop: next, kinds: new PlacedKinds(next) }
  },
  /** Every flower of a piece, fitted to its size and piled. */
  kinds: (order: OrderOfKinds, piece: PieceOfKinds): PlacedKind[] => needed().kinds.of(order, piece),
  /** An order with everything on it that a line asks for. */
  withLine: (order: Order, read: LineRead): Order => withLine(order, read, needed().workshop, newId),
  /** Where the cupcakes of a bouquet stand. */
  bouquet: (outline: BouquetOutline, count: number, diameterMm: number) =>
    arrangeBouquet(outline, count, diameterMm),
  /** A layout placed anew. */
  lay(
    piece: Pick<Piece, 'shape'>,
    kinds: Kind[],
    layout: Layout,
    numbers: [string, number][],
    improved: boolean,
  ): Layout {
    const chart = chartOf(piece.shape)
    return layOut({ chart, kinds, numbers: new Map(numbers), layout, newId: newSiteId }, improved)
  },
  /** So many of one flower and no other number. */
  number(
    piece: Pick<Piece, 'shape'>,
    kinds: Kind[],
    layout: Layout,
    placedId: string,
    wanted: number,
  ): Layout {
    const hand = { chart: chartOf(piece.shape), kinds, layout }
    return setNumber(hand, groundFor(hand.chart, kinds, layout), placedId, wanted, newSiteId)
  },
  judge(
    piece: Pick<Piece, 'shape'>,
    kinds: Kind[],
    names: [string, string][],
    layout: Layout,
    lidMm: number | null,
  ): Judgement {
    const chart = chartOf(piece.shape)
    const ground = groundFor(chart, kinds, layout)
    const bodies = bodiesOf(chart, kinds, layout.sites)
    const nameOf = new Map(names)
    const counts = kinds.map((kind) => ({
      kind,
      count: layout.sites.filter((s) => s.placedId === kind.placedId).length,
    }))
    return {
      findings: judge({
        ...{ chart, ground, bodies, kinds, layout, lidMm },
        nameOf: (id) => nameOf.get(id) ?? 'A flower',
        length: (mm) => formatLength(mm, needed().workshop.settings.lengths),
      }),
      covered: coveredShare(ground, bodies),
      fullness: fullnessOf(ground, counts),
    }
  },
}
export type Placing = typeof placing

function needed() {
  if (!known) throw new Error('The workshop has not been sent yet.')
  return known
}

Comlink.expose(placing)
