import type { Piece } from '../../model/order.ts'
import type { Surface } from '../../surfaces/index.ts'

export type Tier = Piece & { shape: Extract<Surface, { kind: 'tier' }> }

const isTier = (piece: Piece): piece is Tier => piece.shape.kind === 'tier'

/** A tier is the one that is meant to stand on another within this, mm. */
const SAME_MM = 0.5

/**
 * The cakes of an order, each from its lowest tier up: a tier stands on the one that says that something of its diameter
 * will stand there, and of which there are as many. What nobody stands on or under is a cake by itself.
 */
export function stacks(pieces: readonly Piece[]): Tier[][] {
  const tiers = pieces.filter(isTier)
  const under = new Map<Tier, Tier>()
  for (const lower of tiers) {
    if (lower.shape.coveredMm === 0) continue
    const upper = tiers.find(
      (t) =>
        t !== lower &&
        !under.has(t) &&
        t.count === lower.count &&
        t.shape.diameterMm < lower.shape.diameterMm &&
        Math.abs(t.shape.diameterMm - lower.shape.coveredMm) <= SAME_MM,
    )
    if (upper) under.set(upper, lower)
  }
  const onTop = new Map([...under].map(([upper, lower]) => [lower, upper]))
  return tiers
    .filter((t) => !under.has(t))
    .map((lowest) => {
      const cake = [lowest]
      for (let next = onTop.get(lowest); next; next = onTop.get(next)) cake.push(next)
      return cake
    })
}
