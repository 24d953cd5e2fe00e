import { recipesOf } from '../logbook/learn/shares.ts'
import type { Flower } from '../model/flower.ts'
import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { handName } from './handed.ts'
import { planFigures } from './index.ts'

/** A learnt figure as far as its effect is asked for. */
export interface Taught {
  key: string
  kind: 'grams' | 'spread' | 'seconds' | 'spoiled' | 'residue' | 'bowl' | 'open'
  start: number
  now: number
}

/** What a figure did to an order: grams to mix and minutes of hands more, or fewer, than with the figure that it began with. */
export interface Effect {
  key: string
  kind: Taught['kind']
  grams: number
  minutes: number
}

/** The effects of learnt figures on one order; none for those that have no say in it. */
export function effectsOn(order: Order, workshop: Workshop, figures: readonly Taught[]): Effect[] {
  const recipes = recipesOf(workshop.flowers, workshop.tips)
  const inOrder = new Set(order.pieces.flatMap((p) => p.flowers.map((f) => f.flowerId)))
  const now = totals(order, workshop)
  return figures.flatMap((figure) => {
    const flowers = workshop.flowers.map((f) =>
      inOrder.has(f.id) ? without(f, figure, shareOf(figure, f)) : f,
    )
    if (flowers.every((f, i) => f === workshop.flowers[i])) return []
    const then = totals(order, { ...workshop, flowers })
    return [
      {
        key: figure.key,
        kind: figure.kind,
        grams: now.grams - then.grams,
        minutes: now.minutes - then.minutes,
      },
    ]
  })

  /** Share of a figure's effect in a flower; its own figure is all that is known of it. */
  function shareOf({ key }: Taught, { id }: Flower): number {
    const effect = key.replace(/^\S+ /, '')
    if (effect === `flower ${id}`) return Number.POSITIVE_INFINITY
    if (effect === 'hand') return 1
    if (effect.startsWith('person ')) return effect === `person ${handName(order.piper)}` ? 1 : 0
    return effect.startsWith('flower') ? 0 : (recipes.effectsOf(id).find((e) => e.key === effect)?.share ?? 0)
  }
}

function totals(order: Order, workshop: Workshop): { grams: number; minutes: number } {
  const { totals: of, batches } = planFigures(order, workshop)
  // before it is rounded up to the scale's step: what a figure did must not hang on a step
  const grams = batches.reduce((sum, b) => sum + b.grams - b.roundingGrams, 0)
  return { grams, minutes: of.handsOnMinutes }
}

/** A flower as it would be without one figure. */
function without(flower: Flower, { kind, start, now }: Taught, share: number): Flower {
  if (share === 0) return flower
  const own = share === Number.POSITIVE_INFINITY
  if (kind === 'grams')
    return { ...flower, calibration: own ? start : within(flower.calibration / now ** share) }
  if (kind === 'seconds') return { ...flower, pace: own ? start : within(flower.pace / now ** share) }
  if (kind === 'spread' && own) return { ...flower, spread: start }
  if (kind === 'spoiled' && own) return { ...flower, spoilRate: start }
  return flower
}

const within = (times: number): number => Math.min(4, Math.max(0.25, times))
