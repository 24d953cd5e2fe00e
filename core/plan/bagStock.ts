import type { OwnedTip } from '../model/tip.ts'
import type { BagStock, Settings, Workshop } from '../model/workshop.ts'

/** Flat width of a bag over its length, as bags are commonly cut. */
const WIDTH_OVER_LENGTH = 0.6
/** Shortest bag whose point takes a large tip. */
const LARGE_TIP_MM = 300
/** A shorter bag than this is worked with less in it: a spoonful still fills its point. */
export const SHORT_BAG_MM = 180
const SHORT_LEAST_GRAMS = 25

/** Grams that have to go into a bag for a hand to work with it. */
export function leastGrams(bag: BagStock | null, settings: Settings): number {
  if (bag?.kind === 'parchment') return settings.leastConeGrams
  const short = bag !== null && bag.lengthMm < SHORT_BAG_MM
  return short ? Math.min(SHORT_LEAST_GRAMS, settings.leastBagGrams) : settings.leastBagGrams
}

/** A bag is filled two thirds at most, so that it can be twisted shut. */
const FILL = 2 / 3

/**
 * Volume in ml of a full bag: a cone whose mouth has twice the flat width as its circumference.
 */
export function bagVolumeMl(lengthMm: number): number {
  const radius = (2 * WIDTH_OVER_LENGTH * lengthMm) / (2 * Math.PI)
  return (Math.PI * radius ** 2 * lengthMm) / 3 / 1000
}

/** Grams in one filling: two thirds of the bag, or what a hand controls, whichever is less. */
export function usableGrams(bag: BagStock, density: number, settings: Settings): number {
  return Math.min(bagVolumeMl(bag.lengthMm) * FILL * density, settings.handfulGrams)
}

/** Bags that are owned, the shortest first. */
interface Shelf {
  cones: readonly BagStock[]
  others: readonly BagStock[]
}

const shelves = new WeakMap<readonly BagStock[], Shelf>()

/** Sorted once: a search for fewer bags asks ten thousand times. */
function shelfOf(bags: readonly BagStock[]): Shelf {
  const known = shelves.get(bags)
  if (known) return known
  const owned = bags.filter((b) => b.owned > 0).sort((a, b) => a.lengthMm - b.lengthMm)
  const shelf = {
    cones: owned.filter((b) => b.kind === 'parchment'),
    others: owned.filter((b) => b.kind !== 'parchment'),
  }
  shelves.set(bags, shelf)
  return shelf
}

/**
 * The bag for a load. A parchment cone for a cut opening, and for a single small tip when the load is less than a
 * bag can be worked with; otherwise the shortest bag owned that takes it in one filling, or the one that holds
 * most. A large tip does not sit in a bag shorter than 30 cm. Null when the bakery owns none that will do.
 */
export function chooseBag(
  workshop: Workshop,
  tips: readonly OwnedTip[],
  grams: number,
  density: number,
  coupled = false,
): BagStock | null {
  const { settings } = workshop
  const usable = (b: BagStock) => usableGrams(b, density, settings)
  // what stays behind has to go in as well
  const more = coupled ? settings.couplerResidueGrams : 0
  const takes = (b: BagStock) => usable(b) >= grams + b.residueGrams + more
  const { cones, others } = shelfOf(workshop.bags)
  // a paper cone holds no coupler
  const cone = coupled ? undefined : cones.find(takes)
  const large = tips.some((t) => t.base === 'large')
  const small = grams < settings.leastBagGrams && tips.length === 1 && !large
  if (cone && (small || tips.every((t) => t.base === 'none'))) return cone
  const bags = large ? others.filter((b) => b.lengthMm >= LARGE_TIP_MM) : others
  const most = bags.reduce<BagStock | null>((best, b) => (!best || usable(b) > usable(best) ? b : best), null)
  const last = large || coupled ? null : (cones[0] ?? null)
  return bags.find(takes) ?? most ?? last
}
