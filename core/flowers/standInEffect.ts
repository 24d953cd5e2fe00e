import type { Flower } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { openingSlot } from '../tips/index.ts'
import { type Fitting, fitFlower } from './resolve.ts'

/** What a flower comes to with another tip, over what it was: 1 is no change. */
export interface StandInEffect {
  grams: number
  diameter: number
  height: number
}

/** Fits a flower with one tip in another's place, wherever that was used, and compares the two. */
export function standInEffect(
  flower: Flower,
  fitting: Fitting,
  tips: readonly OwnedTip[],
  fromTipId: string,
  to: OwnedTip,
): StandInEffect {
  const before = fitFlower(flower, fitting, tips)
  const swapped = Object.fromEntries(
    before.layers.filter((l) => l.tip.id === fromTipId).map((l) => [l.layer.id, to.id]),
  )
  const after = fitFlower(flower, { ...fitting, tips: { ...fitting.tips, ...swapped } }, tips).measure
  const own = before.measure
  return {
    grams: after.volumeMm3 / Math.max(1e-9, own.volumeMm3),
    diameter: after.diameterMm / Math.max(1e-9, own.diameterMm),
    height: after.heightMm / Math.max(1e-9, own.heightMm),
  }
}

const percent = (ratio: number) => Math.round(Math.abs(ratio - 1) * 100)

/** The effect in words: "12 % less icing, 8 % narrower; petals come out flatter". */
export function effectWords(effect: StandInEffect, from: OwnedTip, to: OwnedTip): string {
  const parts = [
    percent(effect.grams) >= 1 && `${percent(effect.grams)} % ${effect.grams > 1 ? 'more' : 'less'} icing`,
    percent(effect.diameter) >= 1 &&
      `${percent(effect.diameter)} % ${effect.diameter > 1 ? 'wider' : 'narrower'}`,
    percent(effect.height) >= 1 && `${percent(effect.height)} % ${effect.height > 1 ? 'higher' : 'lower'}`,
  ].filter(Boolean)
  const look = lookWords(from, to)
  return [parts.join(', ') || 'no change in amount or size', look].filter(Boolean).join('; ')
}

function lookWords(from: OwnedTip, to: OwnedTip): string {
  const [was, is] = [openingSlot(from.opening), openingSlot(to.opening)]
  if (!was || !is) return ''
  if (was.bendDeg !== 0 && is.bendDeg === 0) return 'petals come out flatter'
  if (was.bendDeg === 0 && is.bendDeg !== 0) return 'petals cup more'
  return ''
}
