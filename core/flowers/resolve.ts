import type { Flower, Layer } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { strokes } from '../strokes/index.ts'
import { onlyNarrower, pressStroke } from '../strokes/resize.ts'
import { openingSpan } from '../tips/index.ts'
import { nearestScaled } from '../tips/standIns.ts'
import { aimedExtent, isAsWideAsAimed, stretchedExtent } from './aimed.ts'
import { flowerExtent } from './extent.ts'
import { type ResolvedLayer, scaleResolved } from './layers.ts'
import { type FlowerMeasure, measureFlower } from './measure.ts'
import { remembering } from './remembered.ts'

/** The size and tips a flower is wanted in; both may be left to the flower itself. */
export interface Fitting {
  sizeMm: number | null
  /** Layer id to tip id. */
  tips: Record<string, string>
}

export interface FittedFlower {
  /** Lengths of this fitting over the flower's own. */
  factor: number
  layers: ResolvedLayer[]
  measure: FlowerMeasure
}

/** Raised when a flower names a tip that the drawer and the catalogue do not know. */
export class UnknownTipError extends Error {
  constructor(
    readonly flowerName: string,
    readonly tipId: string,
  ) {
    super(`${flowerName} is piped with a tip "${tipId}" that is neither in the catalogue nor in the drawer.`)
  }
}

/**
 * Fits a flower to a wanted size: each layer takes the tip of its family nearest to the scaled size, owned ones first,
 * and then all lengths of the hand are stretched or drawn in until the pile is as wide as it is wanted. A tip that a
 * person chose is kept as it is, and changes no length: how much wider a pile comes out than it is aimed is found with
 * the tips that the size asks for.
 * @throws UnknownTipError when a layer's tip is not known.
 */
export function fitFlower(flower: Flower, fitting: Fitting, tips: readonly OwnedTip[]): FittedFlower {
  const own = ownLayers(flower, tips)
  for (const tipId of Object.values(fitting.tips)) knownTip(flower, tipId, tips)
  if (fitting.sizeMm === null) {
    const layers = tippedFor(flower, own, 1, fitting.tips, tips)
    return { factor: 1, layers, measure: measureFlower(flower, layers) }
  }
  const wantedMm = fitting.sizeMm
  const {
    scale,
    thin,
    aimedMm,
    factor: asItComes,
  } = sizes(tips, flower, wantedMm, () => findSize(flower, wantedMm, tips))
  const chosen = Object.keys(fitting.tips).length > 0
  const tipped = thinned(tippedFor(flower, own, scale, fitting.tips, tips), thin)
  const factor = chosen ? lengthsFor(aimedMm, scale, widthsOf(tipped), asItComes) : asItComes
  const layers = scaledLayers(tipped, factor)
  const aimed = () => stretchedExtent(tipped)(factor)
  return { factor, layers, measure: measureFlower(flower, layers, aimed) }
}

const ownLayers = (flower: Flower, tips: readonly OwnedTip[]): ResolvedLayer[] =>
  flower.layers.map((layer) => ({
    layer,
    tip: knownTip(flower, layer.tipId, tips),
    floret: flower.florets.find((f) => f.id === layer.floretId),
  }))

/** Layers with the tips that a scale asks for, or that a person chose, and squeezed as those ask for. */
function tippedFor(
  flower: Flower,
  own: readonly ResolvedLayer[],
  scale: number,
  chosen: Fitting['tips'],
  tips: readonly OwnedTip[],
): ResolvedLayer[] {
  return own.map(({ layer, tip, floret }) => {
    const wanted = chosen[layer.id]
    const drawn = tip as OwnedTip
    const next = wanted
      ? knownTip(flower, wanted, tips)
      : layer.loose
        ? drawn
        : nextTip(layer, drawn, scale, tips)
    return { layer: layer.loose ? layer : pressed(layer, drawn, next, scale), tip: next, floret }
  })
}

const scaledLayers = (layers: readonly ResolvedLayer[], factor: number): ResolvedLayer[] =>
  layers.map((resolved) => scaleResolved(resolved, factor))

const firm = ({ layer }: ResolvedLayer) => !layer.loose
const aimedWidth = (layers: readonly ResolvedLayer[]) => aimedExtent(layers.filter(firm)).diameterMm
/** The aimed width at any stretching of all lengths. */
function widthsOf(layers: readonly ResolvedLayer[]): (factor: number) => number {
  const extent = stretchedExtent(layers.filter(firm))
  return (factor) => extent(factor).diameterMm
}
const piledWidth = (layers: readonly ResolvedLayer[]) => flowerExtent(layers.filter(firm)).diameterMm

/** What a size comes to with the tips that it asks for. */
interface Sized {
  /** By which tips are chosen. */
  scale: number
  /** How much thinner its petals are squeezed than the recipe says: so many do not find room in a small flower. */
  thin: number
  /** How wide the strokes are aimed, so that the pile is as wide as it is wanted. */
  aimedMm: number
  factor: number
}

const sizes = remembering<Sized>()
/** A pile within this share of the wanted width is as wide. */
const WIDE_ENOUGH = 0.012
/** Piles made to find a size, at the most. */
const MOST_PILES = 7

function findSize(flower: Flower, wantedMm: number, tips: readonly OwnedTip[]): Sized {
  const own = ownLayers(flower, tips)
  const pushes = !isAsWideAsAimed(own)
  const wider = pushes ? piledWidth(own) / Math.max(0.1, aimedWidth(own)) : 1
  const scale = wantedMm / Math.max(0.1, aimedWidth(own) * wider)
  const tipped = tippedFor(flower, own, scale, {}, tips)
  /** Lengths for petals squeezed so thin, and whether the flower is then as small as it is wanted. */
  const squeezed = (thin: number): Sized & { fits: boolean } => {
    const layers = thinned(tipped, thin)
    const widthAt = widthsOf(layers)
    const factorFor = (aimedMm: number) => lengthsFor(aimedMm, scale, widthAt)
    let aimedMm = wantedMm / wider
    let factor = factorFor(aimedMm)
    let miss = 0
    const tried: { aimedMm: number; found: number }[] = []
    for (let piles = 0; pushes && piles < MOST_PILES; piles++) {
      const there = scaledLayers(layers, factor)
      const found = piledWidth(there)
      miss = found / wantedMm - 1
      const crowded = miss > 0 && factor < DRAWN_IN * scale
      if (Math.abs(miss) < WIDE_ENOUGH || crowded) break
      tried.push({ aimedMm, found })
      aimedMm = nextAim(tried, wantedMm)
      factor = factorFor(aimedMm)
    }
    return { scale, thin, aimedMm, factor, fits: miss < TOO_WIDE && factor >= DRAWN_IN * scale }
  }
  let best = squeezed(1)
  if (best.fits || !pushes) return best
  let tooThick = 1
  for (const thin of SQUEEZES) {
    best = squeezed(thin)
    if (best.fits) break
    tooThick = thin
  }
  // no thinner than it must be
  for (let halved = 0; best.fits && halved < HALVED; halved++) {
    const between = squeezed((best.thin + tooThick) / 2)
    if (between.fits) best = between
    else tooThick = between.thin
  }
  return best
}

/** What to aim at after some tries: between the nearest that came out too narrow and too wide, or by the last one alone. */
function nextAim(tried: readonly { aimedMm: number; found: number }[], wantedMm: number): number {
  const narrow = tried.filter((t) => t.found < wantedMm).sort((a, b) => b.aimedMm - a.aimedMm)[0]
  const wide = tried.filter((t) => t.found >= wantedMm).sort((a, b) => a.aimedMm - b.aimedMm)[0]
  const last = tried.at(-1)!
  if (!narrow || !wide || narrow.aimedMm >= wide.aimedMm) return (last.aimedMm * wantedMm) / last.found
  const share = (wantedMm - narrow.found) / (wide.found - narrow.found)
  // never so near to one of them that the next try tells nothing new
  return narrow.aimedMm + (wide.aimedMm - narrow.aimedMm) * Math.min(0.85, Math.max(0.15, share))
}

/** A pile that much wider than it is wanted holds more icing than it has room for. */
const TOO_WIDE = 0.025
/** Rows drawn in further than this share of the size they are made for are no rows of that flower any more. */
const DRAWN_IN = 0.75
/** How thinly standing petals are squeezed, one after the other, until the flower is as small as it is wanted. */
const SQUEEZES = [0.75, 0.5]
/** How often the way between too thick and thin enough is halved. */
const HALVED = 2

/** The same layers with their standing petals squeezed so much thinner, as far as a hand can. */
function thinned(layers: readonly ResolvedLayer[], by: number): ResolvedLayer[] {
  if (by === 1) return [...layers]
  return layers.map((resolved) => {
    const { layer } = resolved
    const { stroke } = layer
    const thick = strokes[stroke.kind].rests === 'stands' && 'flow' in stroke
    return {
      ...resolved,
      layer: thick ? { ...layer, stroke: { ...stroke, flow: Math.max(0.4, stroke.flow * by) } } : layer,
    }
  })
}

/** A width that is missed by less than this share is hit: no ruler and no hand tells. */
const HIT = 0.004
/** Lengths are stretched no further from the plain scale than this: beyond it the flower is another one. */
const MOST_STRETCH = 3
const MOST_TRIES = 12

/**
 * The factor for a flower's lengths at which it is as wide as wanted. An opening does not stretch with the rest, so the
 * plain scale misses; the width grows steadily with the lengths, so that the secant rule, kept between what is too
 * small and what is too large (Illinois), finds it in two or three tries; fewer from a good guess as the first one.
 */
function lengthsFor(
  wantedMm: number,
  scale: number,
  widthAt: (factor: number) => number,
  first = scale,
): number {
  const missAt = (factor: number) => widthAt(factor) / wantedMm - 1
  let a = first
  let missA = missAt(a)
  if (Math.abs(missA) < HIT) return a
  let b = Math.min(scale * MOST_STRETCH, Math.max(scale / MOST_STRETCH, first * (1 - 1.5 * missA)))
  let missB = missAt(b)
  for (let tries = 0; Math.abs(missB) >= HIT && tries < MOST_TRIES; tries++) {
    const next = b - (missB * (b - a)) / (missB - missA)
    const within = Math.min(scale * MOST_STRETCH, Math.max(scale / MOST_STRETCH, next))
    if (!Number.isFinite(within) || within === b) break
    const miss = missAt(within)
    if (miss * missB < 0) {
      a = b
      missA = missB
    } else missA /= 2
    b = within
    missB = miss
  }
  return b
}

function knownTip(flower: Flower, tipId: string, tips: readonly OwnedTip[]): OwnedTip {
  const tip = tips.find((t) => t.id === tipId)
  if (!tip) throw new UnknownTipError(flower.name, tipId)
  return tip
}

/** Scaling closer to 1 than this keeps the flower's own tips: no drawer has sizes that fine. */
const SAME_SIZE = 0.08

function nextTip(layer: Layer, tip: OwnedTip, factor: number, tips: readonly OwnedTip[]): OwnedTip {
  const { kind } = layer.stroke
  if (Math.abs(factor - 1) < SAME_SIZE || strokes[kind].freeOpening) return tip
  const wide = openingSpan(tip.opening) * factor
  const able = onlyNarrower(kind) ? tips.filter((t) => openingSpan(t.opening) > wide * (1 - SAME_SIZE)) : tips
  const owned = nearestScaled(
    tip.opening,
    factor,
    able.filter((t) => t.owned > 0),
  )
  const near = owned && Math.abs(Math.log(openingSpan(owned.opening) / wide)) < OWNED_DOES
  return (
    (near ? owned : (nearestScaled(tip.opening, factor, able) ?? nearestScaled(tip.opening, factor, tips))) ??
    tip
  )
}

/** A tip of the drawer does as long as it is no further from the wanted size than this, as a logarithm (35 %). */
const OWNED_DOES = 0.3

/** The layer with its strokes squeezed more or less, where the tip is smaller or larger than the size asks for. */
function pressed(layer: Layer, own: OwnedTip, taken: OwnedTip, factor: number): Layer {
  if (own.opening.family !== taken.opening.family) return layer
  const wanted = (openingSpan(own.opening) * factor) / openingSpan(taken.opening)
  return { ...layer, stroke: pressStroke(layer.stroke, wanted) }
}

const fittings = remembering<FittedFlower>()

/** A fitter that remembers: the same flower in the same size and tips, with the same drawer, is fitted once. */
export function rememberingFitter(
  tips: readonly OwnedTip[],
): (flower: Flower, fitting: Fitting) => FittedFlower {
  return (flower, fitting) => {
    const key = JSON.stringify([fitting.sizeMm, fitting.tips])
    return fittings(tips, flower, key, () => fitFlower(flower, fitting, tips))
  }
}
