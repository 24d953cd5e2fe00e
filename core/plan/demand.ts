import { flowerForOrder } from '../flowers/forOrder.ts'
import { scaledPitch } from '../flowers/pitch.ts'
import type { FittedFlower } from '../flowers/resolve.ts'
import { stepWords } from '../flowers/tooling.ts'
import { loadDefinition } from '../loads/index.ts'
import { flowersOn } from '../model/arrangements.ts'
import type { Flower } from '../model/flower.ts'
import type { Piece, PlacedFlower } from '../model/order.ts'
import type { Use } from '../model/plan.ts'
import { spreadsOn } from '../model/spreads.ts'
import { surfaceDefinition } from '../surfaces/index.ts'
import { openingSlot } from '../tips/index.ts'
import { wordUses } from './lettering.ts'
import { type Lookup, unchosenColourId } from './lookup.ts'
import { stemUses, unitsOnLines } from './stems.ts'

/** A flower as one piece of the order wears it: fitted to size, with its number. */
export interface FittedPlacement {
  piece: Piece
  placed: PlacedFlower
  flower: Flower
  /** Colours of its roles, those of second tones included. */
  colours: PlacedFlower['colours']
  fitted: FittedFlower
  /** On the average: like pieces need not be arranged alike. */
  perPiece: number
  total: number
}

export interface Demand {
  placements: FittedPlacement[]
  /** Every stroke of every piece; reserve parts still at zero. */
  uses: Use[]
}

/** Spatula work: mm² a second, and seconds to pick a piece up and set it down. */
const COAT_MM2_PER_S = 350
const COAT_OVERHEAD_S = 3

/** Every stroke of every piece, in grams per colour, stiffness, tip and setting. */
export function demand(at: Lookup): Demand {
  const placements = at.order.pieces.flatMap((piece) =>
    piece.flowers
      .map((placed) => fitPlacement(at, piece, placed))
      // what has no place on a piece whose flowers have places is not piped
      .filter((p) => p.total > 0),
  )
  const coats = at.order.pieces.flatMap((piece) => spreads(at, piece))
  const words = at.order.pieces.flatMap((piece) => wordUses(at, piece, icingOf(at, piece)))
  const stems = at.order.pieces.flatMap((piece) => stemUses(at, piece, icingOf(at, piece)))
  const flowers = placements.flatMap((p) => flowerUses(at, p))
  return { placements, uses: [...coats, ...stems, ...flowers, ...words] }
}

function fitPlacement(at: Lookup, piece: Piece, placed: PlacedFlower): FittedPlacement {
  const { flower, colours } = flowerForOrder(at.flower(placed.flowerId), placed)
  const fitted = at.fit(flower, placed)
  const total = totalOn(piece, placed, () => scaledPitch(flower, fitted))
  return { piece, placed, flower, colours, fitted, perPiece: total / piece.count, total }
}

function totalOn(piece: Piece, placed: PlacedFlower, pitchMm: () => number): number {
  const { placement } = placed
  if (placement.kind === 'each') return flowersOn(piece, placed)
  if (placement.kind === 'line') return unitsOnLines(piece, placed.id, pitchMm())
  return piece.count * borderUnits(piece, placement, pitchMm())
}

type BorderPlacement = Extract<PlacedFlower['placement'], { kind: 'border' }>

/** Whole units of a border that fit round an edge, at least one round each of its lines. */
function borderUnits(piece: Piece, on: BorderPlacement, pitchMm: number): number {
  const edges = surfaceDefinition(piece.shape.kind).edges(piece.shape)
  const edge = edges.find((e) => e.id === on.edge && e.tier === on.tier) ?? edges[0]!
  return edge.loopsMm.reduce((sum, mm) => sum + Math.max(1, Math.round(mm / pitchMm)), 0)
}

function icingOf(at: Lookup, piece: Piece): string {
  return piece.icingKindId ?? at.order.icingKindId
}

/** Squares at a time; one bowl through all colours goes layer by layer over all nails anyway. */
function batchOf({ order }: Lookup, placed: PlacedFlower, flower: Flower): number {
  const may = flower.setting === 'nail' && order.mixing.school === 'separate'
  return may ? (placed.batch ?? 1) : 1
}

const noReserve = { spoiled: 0, practice: 0, margin: 0 }

function flowerUses(at: Lookup, { piece, placed, flower, colours, fitted, total }: FittedPlacement): Use[] {
  const icingKindId = icingOf(at, piece)
  const density = at.icing(icingKindId).density
  return fitted.layers.map(({ layer, tip }, i) => {
    const measure = fitted.measure.layers[i]!
    const grams = (measure.volumeMm3 / 1000) * density * total
    const batch = batchOf(at, placed, flower)
    return {
      id: `${piece.id}.${placed.id}.${layer.id}`,
      pieceId: piece.id,
      placedId: placed.id,
      flowerId: flower.id,
      flowerName: flower.name,
      layerId: layer.id,
      layerName: layer.name,
      tipId: tip.id,
      icingKindId,
      stiffness: placed.stiffness[layer.id] ?? layer.stiffness,
      setting: flower.setting,
      form: flower.form,
      layout: layer.load.kind,
      border: 'border' in layer.load ? layer.load.border : null,
      fixedTip: loadDefinition(layer.load.kind).fixesTip(openingSlot(tip.opening)),
      batch,
      waited: batch > 1 && i > 0 && layer.mayWait,
      flowers: total,
      spares: 0,
      practice: 0,
      strokes: measure.strokes * total,
      seconds: measure.seconds * total * flower.pace,
      tools: layer.tools.map((step) => ({ words: stepWords(step), fresh: step.when === 'wet' })),
      parts: measure.shares.map(({ role, share }) => ({
        colourId: colours[role] ?? unchosenColourId(flower.id, role),
        piped: grams * share,
        ...noReserve,
      })),
    }
  })
}

/** What is spread on a piece with a spatula, body by body: filling between its layers, the crumb coat, the coat. */
function spreads(at: Lookup, piece: Piece): Use[] {
  const bodies = surfaceDefinition(piece.shape.kind).bodies(piece.shape)
  const { underUpper } = at.workshop.settings
  return bodies.flatMap((body, tier) => {
    const { filling, crumbCoat, coat } = spreadsOn(piece, tier)
    const crumbMm2 = body.seenMm2 + (underUpper === 'none' ? 0 : body.coveredMm2)
    const coatMm2 = body.seenMm2 + (underUpper === 'full' ? body.coveredMm2 : 0)
    const fillingMm2 = (body.fillingMm2 ?? 0) * (filling?.layers ?? 0)
    const on = (id: string, name: string, words: string) => ({
      id: tier === 0 ? id : `${id}.${tier}`,
      name,
      words: body.label ? `${words}, ${body.label}` : words,
    })
    return [
      ...(filling && fillingMm2 > 0
        ? [
            spreadUse(
              at,
              piece,
              filling,
              fillingMm2,
              on('filling', 'Filling', `${filling.layers} × ${filling.thicknessMm} mm between layers`),
            ),
          ]
        : []),
      ...(crumbCoat
        ? [
            spreadUse(
              at,
              piece,
              crumbCoat,
              crumbMm2,
              on('crumb-coat', 'Crumb coat', `${crumbCoat.thicknessMm} mm crumb coat`),
            ),
          ]
        : []),
      ...(coat
        ? [spreadUse(at, piece, coat, coatMm2, on('coat', 'Coat', `${coat.thicknessMm} mm coat`))]
        : []),
    ]
  })
}

function spreadUse(
  at: Lookup,
  piece: Piece,
  spread: NonNullable<Piece['coat']>,
  areaMm2: number,
  as: { id: string; name: string; words: string },
): Use {
  const icingKindId = icingOf(at, piece)
  const grams = ((areaMm2 * spread.thicknessMm) / 1000) * at.icing(icingKindId).density * piece.count
  return {
    id: `${piece.id}.${as.id}`,
    pieceId: piece.id,
    placedId: null,
    flowerId: null,
    flowerName: as.name,
    layerId: null,
    layerName: as.words,
    tipId: null,
    icingKindId,
    stiffness: spread.stiffness,
    setting: 'inPlace',
    form: 'coat',
    layout: 'plain',
    border: null,
    fixedTip: false,
    batch: 1,
    waited: false,
    flowers: piece.count,
    spares: 0,
    practice: 0,
    strokes: piece.count,
    seconds: piece.count * (COAT_OVERHEAD_S + areaMm2 / COAT_MM2_PER_S),
    tools: [],
    parts: [{ colourId: spread.colourId, piped: grams, ...noReserve }],
  }
}
