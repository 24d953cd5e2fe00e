import type { Flower } from '../../model/flower.ts'
import type { OwnedTip } from '../../model/tip.ts'
import { measureStroke } from '../../strokes/quantities.ts'

/** What learning has to know of flowers: of which strokes they are made, by grams. */
export interface Recipes {
  /** The flower itself, and each kind of stroke by its share. */
  effectsOf(flowerId: string): { key: string; share: number }[]
  nameOf(flowerId: string): string
}

/** Read off the recipes: each layer's strokes as they are aimed, which is near enough for shares. */
export function recipesOf(flowers: readonly Flower[], tips: readonly OwnedTip[]): Recipes {
  const byId = new Map(flowers.map((f) => [f.id, f]))
  const openings = new Map(tips.map((t) => [t.id, t.opening]))
  const kept = new Map<string, { key: string; share: number }[]>()
  return {
    nameOf: (id) => byId.get(id)?.name ?? 'A flower that is gone',
    effectsOf(id) {
      const known = kept.get(id)
      if (known) return known
      const grams = new Map<string, number>()
      for (const { stroke, tipId, count, ringMm, heightMm } of byId.get(id)?.layers ?? []) {
        const opening = openings.get(tipId)
        if (!opening) continue
        const { volumeMm3 } = measureStroke(stroke, { ringMm, heightMm, azimuth: 0 }, opening)
        grams.set(stroke.kind, (grams.get(stroke.kind) ?? 0) + volumeMm3 * count)
      }
      const all = [...grams.values()].reduce((sum, g) => sum + g, 0)
      const effects = [
        { key: `flower ${id}`, share: 1 },
        ...[...grams].map(([kind, g]) => ({ key: `stroke ${kind}`, share: g / Math.max(1e-9, all) })),
      ]
      kept.set(id, effects)
      return effects
    },
  }
}
