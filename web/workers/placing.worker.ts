import * as Comlink from 'comlink'
import { arrangeBouquet } from '#core/bouquet/arrange'
import { setOnShape } from '#core/catalogue/setOnShape'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { ResolvedLayer } from '#core/flowers/layers'
import { planView } from '#core/flowers/planView'
import { fitFlower } from '#core/flowers/resolve'
import { type BorderRun, borderRun } from '#core/flowers/run'
import type { ViewShape } from '#core/flowers/strokeShapes'
import type { Layout } from '#core/model/layout'
import type { Order, Piece, PlacedFlower } from '#core/model/order'
import { isStrewn, type SetOn } from '#core/model/setOn'
import type { Workshop } from '#core/model/workshop'
import type { Kind } from '#core/placing/body'
import { setNumber } from '#core/placing/byHand'
import { fullnessOf } from '#core/placing/counts'
import { coveredShare } from '#core/placing/cover'
import type { Finding } from '#core/placing/findings/finding'
import { judge } from '#core/placing/judge'
import { kindOf } from '#core/placing/kinds'
import { bodiesOf, groundFor, placed as layOut } from '#core/placing/place'
import type { BouquetOutline } from '#core/surfaces/bouquet'
import { chartOf } from '#core/surfaces/index'
import { formatLength } from '#core/units'
import { newId } from '../parts/newId.ts'

/** A flower of a piece with all that placing and drawing it takes. */
export interface PlacedKind {
  placedId: string
  name: string
  form: 'flower' | 'leaf' | 'vine' | 'border' | 'setOn'
  kind: Kind
  shapes: ViewShape[]
  layers: ResolvedLayer[]
  /** Hex colours by role. */
  colours: Record<string, string>
  /** For a border: how its units follow each other. */
  run: BorderRun | null
}

/** What is said about a layout. */
export interface Judgement {
  findings: Finding[]
  covered: number
  fullness: number
}

const newSiteId = () => `s-${newId().slice(0, 12)}`

let workshop: Workshop | null = null
/** Fitted and piled flowers by what they depend on. */
const known = new Map<string, Omit<PlacedKind, 'placedId' | 'colours'>>()
const MOST_KNOWN = 120

const placing = {
  setWorkshop(next: Workshop): void {
    workshop = next
    known.clear()
  },
  /** Every flower of a piece, fitted to its size and piled. */
  kinds: (
    order: Pick<Order, 'colours' | 'icingKindId' | 'setOns'>,
    piece: Pick<Piece, 'flowers' | 'setOns' | 'icingKindId'>,
  ): PlacedKind[] => [
    ...piece.flowers.flatMap((placed) => {
      const of = kindFor(order, piece, placed)
      return of ? [of] : []
    }),
    ...piece.setOns.flatMap((placed) => {
      const thing = order.setOns.find((t) => t.id === placed.setOnId)
      return thing && !isStrewn(thing.kind) ? [kindOfThing(placed.id, thing)] : []
    }),
  ],
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
        length: (mm) => formatLength(mm, needed().settings.lengths),
      }),
      covered: coveredShare(ground, bodies),
      fullness: fullnessOf(ground, counts),
    }
  },
}
export type Placing = typeof placing

function needed(): Workshop {
  if (!workshop) throw new Error('The workshop has not been sent yet.')
  return workshop
}

function kindFor(
  order: Pick<Order, 'colours' | 'icingKindId'>,
  piece: Pick<Piece, 'icingKindId'>,
  placed: PlacedFlower,
): PlacedKind | null {
  const shop = needed()
  const recipe = shop.flowers.find((f) => f.id === placed.flowerId)
  if (!recipe) return null
  const { flower, colours } = flowerForOrder(recipe, placed)
  const hexes = new Map(order.colours.map((c) => [c.id, c.hex]))
  const worn = Object.fromEntries(flower.roles.map((r) => [r.id, hexes.get(colours[r.id] ?? '') ?? r.hex]))
  const icing = shop.icings.find((i) => i.id === (piece.icingKindId ?? order.icingKindId))
  const key = JSON.stringify([flower, placed.sizeMm, placed.tips, icing?.density])
  let made = known.get(key)
  if (!made) {
    const { layers, measure, factor } = fitFlower(flower, placed, shop.tips)
    const shapes = planView(layers)
    const { settings } = shop
    const kind = kindOf(
      {
        placedId: '',
        flower,
        shapes,
        diameterMm: measure.diameterMm,
        heightMm: measure.heightMm,
        grams: (measure.volumeMm3 / 1000) * (icing?.density ?? 1),
        hex: '',
      },
      { mostPa: settings.hangMostPa, mostGrams: settings.hangMostGrams },
    )
    made = {
      name: flower.name,
      form: flower.form,
      kind,
      shapes,
      layers,
      run: borderRun(flower, layers, factor),
    }
    if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!)
    known.set(key, made)
  }
  const hex = Object.values(worn)[0] ?? '#b9b9b9'
  return { ...made, placedId: placed.id, kind: { ...made.kind, placedId: placed.id, hex }, colours: worn }
}

/** Something that is put on, as placing sees it. */
function kindOfThing(placedId: string, thing: SetOn): PlacedKind {
  const shop = needed()
  const key = JSON.stringify(thing)
  let made = known.get(key)
  if (!made) {
    const flower = setOnShape(thing)
    const sizeMm = thing.kind === 'sugarFlower' ? thing.widthMm : null
    const { layers } = fitFlower(flower, { sizeMm, tips: {} }, shop.tips)
    const shapes = planView(layers)
    const { settings } = shop
    const kind = kindOf(
      {
        ...{ placedId: '', shapes, hex: thing.hex, grams: thing.grams },
        flower: { id: thing.id, form: 'flower', setting: 'inPlace' },
        ...{ diameterMm: thing.widthMm, heightMm: Math.max(1, thing.heightMm) },
      },
      { mostPa: settings.hangMostPa, mostGrams: settings.hangMostGrams },
    )
    made = { name: thing.name, form: 'setOn', kind, shapes, layers, run: null }
    if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!)
    known.set(key, made)
  }
  const colours = Object.fromEntries(setOnShape(thing).roles.map((r) => [r.id, thing.hex]))
  return { ...made, placedId, kind: { ...made.kind, placedId }, colours }
}

Comlink.expose(placing)
