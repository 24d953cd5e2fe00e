import { setOnShape } from '../catalogue/setOnShape.ts'
import { flowerForOrder } from '../flowers/forOrder.ts'
import type { ResolvedLayer } from '../flowers/layers.ts'
import { planView } from '../flowers/planView.ts'
import { fitFlower } from '../flowers/resolve.ts'
import { type BorderRun, borderRun } from '../flowers/run.ts'
import type { ViewShape } from '../flowers/strokeShapes.ts'
import type { Order, Piece, PlacedFlower } from '../model/order.ts'
import { isStrewn, type SetOn } from '../model/setOn.ts'
import type { Workshop } from '../model/workshop.ts'
import type { Kind } from './body.ts'
import { kindOf } from './kinds.ts'

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

export type OrderOfKinds = Pick<Order, 'colours' | 'icingKindId' | 'setOns'>
export type PieceOfKinds = Pick<Piece, 'flowers' | 'setOns' | 'icingKindId'>

/** Fitted and piled flowers that are remembered. */
const MOST_KNOWN = 120

/** What stands on pieces, fitted to its size and piled; remembered by what it depends on. */
export class PlacedKinds {
  readonly #workshop: Workshop
  readonly #known = new Map<string, Omit<PlacedKind, 'placedId' | 'colours'>>()

  constructor(workshop: Workshop) {
    this.#workshop = workshop
  }

  /** Every flower of a piece, and everything that is put on it and has a place. */
  of(order: OrderOfKinds, piece: PieceOfKinds): PlacedKind[] {
    return [
      ...piece.flowers.flatMap((placed) => this.#flower(order, piece, placed) ?? []),
      ...piece.setOns.flatMap((placed) => {
        const thing = order.setOns.find((t) => t.id === placed.setOnId)
        return thing && !isStrewn(thing.kind) ? [this.#thing(placed.id, thing)] : []
      }),
    ]
  }

  #flower(order: OrderOfKinds, piece: PieceOfKinds, placed: PlacedFlower): PlacedKind | null {
    const shop = this.#workshop
    const recipe = shop.flowers.find((f) => f.id === placed.flowerId)
    if (!recipe) return null
    const { flower, colours } = flowerForOrder(recipe, placed)
    const hexes = new Map(order.colours.map((c) => [c.id, c.hex]))
    const worn = Object.fromEntries(flower.roles.map((r) => [r.id, hexes.get(colours[r.id] ?? '') ?? r.hex]))
    const icing = shop.icings.find((i) => i.id === (piece.icingKindId ?? order.icingKindId))
    const key = JSON.stringify([flower, placed.sizeMm, placed.tips, icing?.density])
    let made = this.#known.get(key)
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
      if (this.#known.size >= MOST_KNOWN) this.#known.delete(this.#known.keys().next().value!)
      this.#known.set(key, made)
    }
    const hex = Object.values(worn)[0] ?? '#b9b9b9'
    return { ...made, placedId: placed.id, kind: { ...made.kind, placedId: placed.id, hex }, colours: worn }
  }

  /** Something that is put on, as placing sees it. */
  #thing(placedId: string, thing: SetOn): PlacedKind {
    const shop = this.#workshop
    const key = JSON.stringify(thing)
    let made = this.#known.get(key)
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
      if (this.#known.size >= MOST_KNOWN) this.#known.delete(this.#known.keys().next().value!)
      this.#known.set(key, made)
    }
    const colours = Object.fromEntries(setOnShape(thing).roles.map((r) => [r.id, thing.hex]))
    return { ...made, placedId, kind: { ...made.kind, placedId }, colours }
  }
}
