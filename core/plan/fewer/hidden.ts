import { seenFromAbove } from '../../flowers/seen.ts'
import { newColour } from '../../model/newColour.ts'
import type { Order } from '../../model/order.ts'
import type { Workshop } from '../../model/workshop.ts'
import { strokeDefinition } from '../../strokes/index.ts'
import type { Texture } from '../../strokes/stroke.ts'
import { bagCount } from '../counts.ts'
import { demand, type FittedPlacement } from '../demand.ts'
import { planFigures } from '../index.ts'
import { lookUp } from '../lookup.ts'

/** Layers that nobody sees, and what it saves to pipe them all in one icing. */
export interface HiddenOffer {
  layers: HiddenLayer[]
  /** What they take now, g. */
  grams: number
  /** Colours of the order that save minutes, best first, and plain icing, into which any leftover may go. */
  choices: HiddenChoice[]
}

export interface HiddenLayer {
  pieceId: string
  placedId: string
  layerId: string
  words: string
}

export interface HiddenChoice {
  /** A colour of the order, or null for plain icing. */
  colourId: string | null
  name: string
  saves: { minutes: number; bags: number; portions: number; colouredGrams: number }
}

/**
 * A mound or disc is hidden where no more than this share of the flower from above is it. The plan view draws standing
 * petals as thin as they are, so that it sees a little deeper between them than an eye does.
 */
const HIDDEN_SHARE = 0.07
const SEEN_THROUGH: readonly Texture[] = ['dotted', 'spiked']
/** Colours of the order that are offered beside plain icing. */
const MOST_COLOURS = 2
/** What makes it worth saying: minutes that a choice saves, or grams that need no colour. */
const LEAST_MINUTES = 2
const LEAST_GRAMS = 20

/** The id of the colour in which what nobody sees is piped plain. */
const PLAIN_ID = 'plain'

/** The order with all these layers in one colour; plain icing is added to its colours. */
export function piped(
  order: Order,
  workshop: Workshop,
  layers: readonly HiddenLayer[],
  colourId: string | null,
): Order {
  const icing = workshop.icings.find((i) => i.id === order.icingKindId)
  const plain = newColour(PLAIN_ID, 'Plain or leftover', icing?.baseHex ?? '#f4efe4')
  const id = colourId ?? PLAIN_ID
  const known = order.colours.some((c) => c.id === id)
  return {
    ...order,
    arrangement: null,
    colours: known ? order.colours : [...order.colours, { ...plain, dyeIds: [] }],
    pieces: order.pieces.map((p) => ({
      ...p,
      flowers: p.flowers.map((f) => {
        const own = layers.filter((l) => l.pieceId === p.id && l.placedId === f.id)
        if (own.length === 0) return f
        return {
          ...f,
          layerColours: { ...f.layerColours, ...Object.fromEntries(own.map((l) => [l.layerId, id])) },
        }
      }),
    })),
  }
}

/** Mounds and discs under petals in plain or leftover icing, or all in one colour; null where that saves nothing. */
export function hiddenOffer(order: Order, workshop: Workshop): HiddenOffer | null {
  const now: Order = { ...order, arrangement: null }
  const { placements, uses } = demand(lookUp(now, workshop))
  const layers = placements.flatMap(hiddenLayers)
  if (layers.length === 0) return null
  const ids = new Set(layers.map((l) => `${l.pieceId}.${l.placedId}.${l.layerId}`))
  const grams = uses
    .filter((u) => ids.has(u.id))
    .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
  const before = planFigures(now, workshop)
  const coloured = (plan: typeof before) =>
    plan.batches.reduce((sum, b) => sum + (b.colourId === PLAIN_ID ? 0 : b.grams - b.carriedGrams), 0)
  const choices = [null, ...order.colours.map((c) => c.id)].map((colourId): HiddenChoice => {
    const then = planFigures(piped(now, workshop, layers, colourId), workshop)
    return {
      colourId,
      name:
        colourId === null ? 'plain or leftover icing' : order.colours.find((c) => c.id === colourId)!.name,
      saves: {
        minutes: before.totals.handsOnMinutes - then.totals.handsOnMinutes,
        bags: bagCount(before.bags) - bagCount(then.bags),
        portions: before.batches.length - then.batches.length,
        colouredGrams: coloured(before) - coloured(then),
      },
    }
  })
  const [plain, ...colours] = choices
  const better = colours
    .filter(({ saves }) => saves.minutes >= LEAST_MINUTES)
    .sort((one, other) => other.saves.minutes - one.saves.minutes)
    .slice(0, MOST_COLOURS)
  const worth = better.length > 0 || plain!.saves.minutes >= LEAST_MINUTES || grams >= LEAST_GRAMS
  return worth ? { layers, grams, choices: [...better, plain!] } : null
}

/** Of one flower, mounds and discs under what is piped after them; what a person has settled is not offered again. */
function hiddenLayers({ piece, placed, flower, fitted }: FittedPlacement): HiddenLayer[] {
  const seen = seenFromAbove(fitted.layers)
  return fitted.layers.flatMap(({ layer }, i) => {
    const { foots = false, walls = false, small = false } = strokeDefinition(layer.stroke.kind)
    const next = fitted.layers[i + 1]?.layer
    const shows = seen.layers.get(layer.id) ?? 0
    if (!foots || walls || small || !next || shows > HIDDEN_SHARE * seen.areaMm2) return []
    // between dots and stamens a centre is seen from the side
    if (SEEN_THROUGH.includes(strokeDefinition(next.stroke.kind).texture)) return []
    if (placed.layerColours[layer.id] !== undefined || layer.load.kind !== 'plain') return []
    const words = `${flower.name.toLowerCase()} ${layer.name.toLowerCase()}`
    return [{ pieceId: piece.id, placedId: placed.id, layerId: layer.id, words }]
  })
}
