import type { Plan } from '#core/model/plan'
import { partGrams } from '#core/plan/reserve'

const MOST_WEARERS = 5

/** What wears a colour and how many grams each takes, the most first. */
export function wearersOf(plan: Plan | undefined, colourId: string): { name: string; grams: number }[] {
  const grams = new Map<string, number>()
  for (const use of plan?.uses ?? [])
    for (const part of use.parts)
      if (part.colourId === colourId) {
        const name = use.flowerId ? `${use.flowerName}, ${use.layerName.toLowerCase()}` : use.flowerName
        grams.set(name, (grams.get(name) ?? 0) + partGrams(part))
      }
  const all = [...grams].map(([name, g]) => ({ name, grams: g })).sort((a, b) => b.grams - a.grams)
  if (all.length <= MOST_WEARERS) return all
  const rest = all.slice(MOST_WEARERS - 1)
  return [
    ...all.slice(0, MOST_WEARERS - 1),
    { name: `${rest.length} more parts`, grams: rest.reduce((sum, w) => sum + w.grams, 0) },
  ]
}
