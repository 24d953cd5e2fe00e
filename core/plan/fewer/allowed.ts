import type { Stiffness } from '../../common.ts'
import type { FlowerMeasure } from '../../flowers/measure.ts'
import { type FittedFlower, fitFlower } from '../../flowers/resolve.ts'
import type { Flower, Layer } from '../../model/flower.ts'
import type { OwnedTip, Tip } from '../../model/tip.ts'
import { strokeDefinition } from '../../strokes/index.ts'
import { openingArea, openingSize, openingSlot } from '../../tips/index.ts'
import type { FittedPlacement } from '../demand.ts'

/** Another tip for a layer, and how far it takes the flower from its recipe: 0 not at all, 1 as far as is allowed. */
export interface TipChoice {
  tipId: string
  look: number
  /** The layer's grams and the flower's width over what they are now. */
  grams: number
  wide: number
}

/** What each change may be at the most, as the logarithm of a ratio; leaves vary more in nature. */
const BOUNDS = { wide: 0.08, high: 0.25, layer: 0.75, flower: 0.35, slim: 0.35, stretch: 0.25 }
const LEAF_BOUNDS = { ...BOUNDS, wide: 0.2, high: 0.4, layer: 0.8, flower: 0.6 }
/** An opening of another family is never quite the same. */
const OTHER_FAMILY = 0.4
const OTHER_FAMILY_MORE = 0.15 * OTHER_FAMILY
/** Openings further apart than this, as a logarithm, are not tried. */
const FAR_OFF = 0.7
/** What the hand shapes may be squeezed from an opening that is not much larger than itself. */
const WIDER_THAN_OWN = 1.5

/** Whether a flower with several layers changed is still near enough as a whole: what each may do, all may not. */
export function staysNear(flower: Flower, before: FlowerMeasure, after: FlowerMeasure): boolean {
  const { wide, flower: icing } = flower.form === 'leaf' ? LEAF_BOUNDS : BOUNDS
  return (
    Math.abs(Math.log(after.aimed.diameterMm / before.aimed.diameterMm)) <= wide &&
    Math.abs(Math.log(after.volumeMm3 / before.volumeMm3)) <= icing
  )
}

/**
 * The tips that could do a layer of a placed flower, the one it is piped with left out.
 * @param tips the drawer.
 * @param among ids of those that are asked about.
 */
export function allowedTips(
  { flower, placed, fitted }: FittedPlacement,
  layerIndex: number,
  tips: readonly OwnedTip[],
  among: ReadonlySet<string>,
): TipChoice[] {
  const { layer, tip } = fitted.layers[layerIndex]!
  const { families, freeOpening } = strokeDefinition(layer.stroke.kind)
  const pinned = Object.fromEntries(fitted.layers.map((l) => [l.layer.id, l.tip.id]))
  const bounds = flower.form === 'leaf' ? LEAF_BOUNDS : BOUNDS
  const now = fitted.measure
  return tips.flatMap((other) => {
    if (
      !among.has(other.id) ||
      other.id === tip.id ||
      other.owned === 0 ||
      !families.includes(other.opening.family)
    )
      return []
    const foot = freeOpening && openingSlot(other.opening) !== null
    if (foot && !isFoot(fitted, layerIndex)) return []
    if (freeOpening && !foot && !mayShape(layer, tip, other)) return []
    // an opening of half or twice the size is another flower: it need not be tried
    if (!freeOpening && Math.abs(Math.log(openingSize(other.opening) / openingSize(tip.opening))) > FAR_OFF)
      return []
    const foreign = !freeOpening && other.opening.family !== tip.opening.family
    const slim = freeOpening ? 0 : ratio(slimness(other), slimness(tip)) / bounds.slim
    if (slim > 1) return []
    const refitted = fitFlower(
      flower,
      { sizeMm: placed.sizeMm, tips: { ...pinned, [layer.id]: other.id } },
      tips,
    )
    const then = refitted.measure
    const grams = then.layers[layerIndex]!.volumeMm3 / now.layers[layerIndex]!.volumeMm3
    const wide = then.aimed.diameterMm / now.aimed.diameterMm
    const look = freeOpening
      ? foot
        ? FOOT_LOOK
        : 0
      : Math.max(
          ratio(wide, 1) / bounds.wide,
          ratio(then.aimed.heightMm, now.aimed.heightMm) / bounds.high,
          ratio(grams, 1) / bounds.layer,
          ratio(then.volumeMm3, now.volumeMm3) / bounds.flower,
          slim,
          ratio(refitted.factor, fitted.factor) / bounds.stretch,
          foreign ? OTHER_FAMILY : 0,
        ) + (foreign ? OTHER_FAMILY_MORE : 0)
    return look <= 1 ? [{ tipId: other.id, look, grams, wide }] : []
  })
}

/** How far two amounts are from each other, either way. */
const ratio = (a: number, b: number) => Math.abs(Math.log(Math.max(1e-6, a) / Math.max(1e-6, b)))
const slimness = (t: Tip) => openingArea(t.opening) / openingSize(t.opening)

/** A small mound under everything else: nobody sees through what it was squeezed. */
function isFoot({ measure }: FittedFlower, layerIndex: number): boolean {
  return layerIndex === 0 && measure.layers[0]!.volumeMm3 / measure.layers[0]!.strokes < FOOT_MM3
}

const FOOT_MM3 = 900
const FOOT_LOOK = 0.03

function mayShape(layer: Layer, own: Tip, other: Tip): boolean {
  const { stroke } = layer
  const radius = 'radiusMm' in stroke ? stroke.radiusMm : openingSize(own.opening)
  const size = openingSize(other.opening)
  return size <= 2 * radius && size <= Math.max(openingSize(own.opening), WIDER_THAN_OWN * radius)
}

/** What another stiffness takes from a layer's look. */
export const STIFFNESS_LOOK = 0.15
/** The stiffnesses that a layer could be piped at as well: what need not stand may be softer, what may be stiffer stiffer. */
export function allowedStiffness(layer: Layer, now: Stiffness): Stiffness[] {
  const { upright = false, freeOpening, small = false, texture } = strokeDefinition(layer.stroke.kind)
  if (now === 'stiff') return !upright && (freeOpening || small) ? ['medium'] : []
  // a stiff leaf breaks where it should end in a point
  if (now === 'medium') return texture === 'leaf' ? [] : ['stiff']
  if (now === 'soft') return small ? ['medium'] : []
  return []
}
