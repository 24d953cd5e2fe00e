import type { Bag, Batch } from '../model/plan.ts'

/** Bowls: one for each colour of an icing kind, thinned in portions for what must be softer. */
export function bowlCount(batches: readonly Pick<Batch, 'icingKindId' | 'colourId'>[]): number {
  return new Set(batches.map((b) => `${b.icingKindId} ${b.colourId}`)).size
}

/** Bowls that go on from the one before them in a chain of colours, and are not washed. */
export function carriedBowls(batches: readonly Batch[]): number {
  return bowlCount(batches.filter((b) => b.carriedGrams > 0))
}

/** Bags that are taken from the drawer: one that is scraped and filled again counts once. */
export function bagCount(bags: readonly Pick<Bag, 'reuses'>[]): number {
  return bags.filter((b) => b.reuses === null).length
}
