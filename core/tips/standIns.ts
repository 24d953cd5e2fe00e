import { type Opening, openingArea, openingSize, openingSpan, type TipFamilyName } from './index.ts'

/** Families that can do each other's work, with a change of look. */
const kin: Partial<Record<TipFamilyName, TipFamilyName[]>> = {
  petal: ['curvedPetal'],
  curvedPetal: ['petal'],
  round: ['cutBag'],
  cutBag: ['round'],
  leaf: ['veeCut'],
  veeCut: ['leaf'],
}

/** Added to the distance between kin of different families: a closer size of the same family comes first. */
const OTHER_FAMILY = 0.5

/**
 * How far one opening is from another as a stand-in: sum of the absolute log ratios of size and area, plus half
 * for another family. Infinity where it cannot do the stroke at all.
 */
export function standInDistance(wanted: Opening, other: Opening): number {
  const same = wanted.family === other.family
  if (!same && !kin[wanted.family]?.includes(other.family)) return Number.POSITIVE_INFINITY
  return (
    Math.abs(Math.log(openingSize(other) / openingSize(wanted))) +
    Math.abs(Math.log(openingArea(other) / openingArea(wanted))) +
    (same ? 0 : OTHER_FAMILY)
  )
}

/** The tips that could stand in for an opening, nearest first; those that cannot are left out. */
export function standIns<T extends { opening: Opening }>(wanted: Opening, tips: readonly T[]): T[] {
  return tips
    .map((tip) => ({ tip, distance: standInDistance(wanted, tip.opening) }))
    .filter((c) => Number.isFinite(c.distance))
    .sort((a, b) => a.distance - b.distance)
    .map((c) => c.tip)
}

/**
 * The opening of the same family that comes nearest to `wanted` enlarged `factor` times, or null when the family
 * is not there. Slimness (area over size squared) counts half as much as size, so that a wide U does not become
 * a shallow one.
 */
export function nearestScaled<T extends { opening: Opening }>(
  wanted: Opening,
  factor: number,
  tips: readonly T[],
): T | null {
  const size = openingSpan(wanted) * factor
  const fullness = (o: Opening) => openingArea(o) / openingSpan(o) ** 2
  let best: T | null = null
  let bestDistance = Number.POSITIVE_INFINITY
  for (const tip of tips) {
    if (tip.opening.family !== wanted.family) continue
    const distance =
      Math.abs(Math.log(openingSpan(tip.opening) / size)) +
      Math.abs(Math.log(fullness(tip.opening) / fullness(wanted))) / 2
    if (distance < bestDistance) {
      best = tip
      bestDistance = distance
    }
  }
  return best
}
