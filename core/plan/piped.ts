import type { Use } from '../model/plan.ts'

/** Flowers really piped: wanted, spares and practice. */
export function flowersPiped(use: Use): number {
  return use.flowers + use.spares + use.practice
}
