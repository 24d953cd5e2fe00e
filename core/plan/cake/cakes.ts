import type { Cake, Use } from '../../model/plan.ts'
import type { Settings } from '../../model/workshop.ts'
import type { FittedPlacement } from '../demand.ts'
import type { Lookup } from '../lookup.ts'
import { stacks, type Tier } from './stacks.ts'

/** Boards come in these thicknesses: each carries tiers up to so wide and so heavy. */
const BOARDS = [
  { thickMm: 3, upToMm: 200, upToKg: 2 },
  { thickMm: 5, upToMm: 300, upToKg: 4 },
] as const
const STRONGEST_MM = 12
/** From so many tiers on, or on a wider lowest tier, a rod through the middle holds them together; on the road, from two on. */
const ROD_FROM_TIERS = 3
const ROD_OVER_MM = 300

/**
 * Every cake of the order from its lowest tier up: what it weighs, what holds it up, what it stands on and the box that takes it.
 * The figures behind it are settings: practice and the supplier decide.
 */
export function cakes(at: Lookup, placements: readonly FittedPlacement[], uses: readonly Use[]): Cake[] {
  return stacks(at.order.pieces).map((tiers) => cakeOf(at, tiers, placements, uses))
}

function cakeOf(
  at: Lookup,
  tiers: readonly Tier[],
  placements: readonly FittedPlacement[],
  uses: readonly Use[],
): Cake {
  const { settings } = at.workshop
  const grams = tiers.map((tier) => tierGrams(tier, uses, settings))
  const lowest = tiers[0]!.shape
  const onTop = (tier: Tier) =>
    (tier.coat?.thicknessMm ?? 0) +
    Math.max(0, ...placements.filter((p) => p.piece.id === tier.id).map((p) => p.fitted.measure.heightMm))
  const boardMm = lowest.diameterMm + 2 * settings.boardMarginMm
  return {
    pieceIds: tiers.map((t) => t.id),
    count: tiers[0]!.count,
    grams: grams.reduce((sum, g) => sum + g, 0),
    tiers: tiers.map((tier, i) => {
      const above = grams.slice(i + 1).reduce((sum, g) => sum + g, 0)
      const upper = tiers[i + 1]
      return {
        pieceId: tier.id,
        grams: grams[i]!,
        supports: upper ? supportsUnder(upper, above, tier.shape.heightMm, settings) : null,
        board: i === 0 ? null : boardFor(tier.shape.diameterMm, above + grams[i]!),
      }
    }),
    base: { diameterMm: boardMm, thickMm: STRONGEST_MM },
    rod:
      tiers.length >= ROD_FROM_TIERS ||
      (tiers.length > 1 && (lowest.diameterMm > ROD_OVER_MM || at.order.travel === 'delivered')),
    box: {
      sideMm: boardMm,
      highMm:
        STRONGEST_MM +
        tiers.reduce((sum, t) => sum + t.shape.heightMm, 0) +
        onTop(tiers.at(-1)!) +
        settings.lidClearMm,
    },
  }
}

/** One tier as it is finished: the cake itself by its volume, and everything that is spread and piped on it, g. */
function tierGrams({ id, count, shape }: Tier, uses: readonly Use[], settings: Settings): number {
  const cake = ((Math.PI * shape.diameterMm ** 2) / 4) * shape.heightMm * (settings.cakeDensity / 1000)
  const icing = uses
    .filter((u) => u.pieceId === id)
    .reduce((sum, u) => sum + u.parts.reduce((all, p) => all + p.piped, 0), 0)
  return cake + icing / count
}

function supportsUnder(upper: Tier, aboveGrams: number, lengthMm: number, settings: Settings) {
  const { diameterMm } = upper.shape
  const count = Math.max(
    settings.leastSupports,
    Math.ceil(diameterMm / settings.supportEveryMm),
    Math.ceil(aboveGrams / 1000 / settings.supportKg),
  )
  return { count, ringMm: (diameterMm / 2) * settings.supportRingShare, lengthMm }
}

function boardFor(diameterMm: number, grams: number) {
  const board = BOARDS.find((b) => diameterMm <= b.upToMm && grams <= b.upToKg * 1000)
  return { diameterMm, thickMm: board?.thickMm ?? STRONGEST_MM }
}
