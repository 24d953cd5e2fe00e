import { setOnsOn } from '../model/arrangements.ts'
import type { Piece } from '../model/order.ts'
import type { Cake, Use } from '../model/plan.ts'
import { spreadsOn } from '../model/spreads.ts'
import type { Settings } from '../model/workshop.ts'
import type { Surface } from '../surfaces/index.ts'
import { surfaceDefinition } from '../surfaces/index.ts'
import type { FittedPlacement } from './demand.ts'
import type { Lookup } from './lookup.ts'
import { setOnGrams } from './setOns.ts'

/** Boards come in these thicknesses: each carries tiers up to so wide and so heavy. */
const BOARDS = [
  { thickMm: 3, upToMm: 200, upToKg: 2 },
  { thickMm: 5, upToMm: 300, upToKg: 4 },
] as const
const STRONGEST_MM = 12
/** From so many tiers on, or on a wider lowest tier, a rod through the middle holds them together; on the road, from two on. */
const ROD_FROM_TIERS = 3
const ROD_OVER_MM = 300

type CakePiece = Piece & { shape: Extract<Surface, { kind: 'cake' }> }
const isCake = (piece: Piece): piece is CakePiece => piece.shape.kind === 'cake'

/**
 * Every cake of the order, its tiers from the lowest up: what it weighs, what holds it up, what it stands on and the box that
 * takes it. The figures behind it are settings: practice and the supplier decide.
 */
export function cakes(at: Lookup, placements: readonly FittedPlacement[], uses: readonly Use[]): Cake[] {
  return at.order.pieces.filter(isCake).map((piece) =>
    cakeOf(
      at,
      piece,
      placements.filter((p) => p.piece.id === piece.id),
      uses,
    ),
  )
}

function cakeOf(
  at: Lookup,
  piece: CakePiece,
  placements: readonly FittedPlacement[],
  uses: readonly Use[],
): Cake {
  const { settings } = at.workshop
  const { tiers } = piece.shape
  const grams = tierGrams(at, piece, uses)
  const lowest = tiers[0]!
  const topCoatMm = spreadsOn(piece, tiers.length - 1).coat?.thicknessMm ?? 0
  const boardMm = lowest.diameterMm + 2 * settings.boardMarginMm
  return {
    pieceId: piece.id,
    count: piece.count,
    grams: grams.reduce((sum, g) => sum + g, 0),
    tiers: tiers.map((tier, i) => {
      const above = grams.slice(i + 1).reduce((sum, g) => sum + g, 0)
      const upper = tiers[i + 1]
      return {
        grams: grams[i]!,
        supports: upper ? supportsUnder(upper.diameterMm, above, tier.heightMm, settings) : null,
        board: i === 0 ? null : boardFor(tier.diameterMm, above + grams[i]!),
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
        tiers.reduce((sum, t) => sum + t.heightMm, 0) +
        topCoatMm +
        standingMm(piece, placements) +
        settings.lidClearMm,
    },
  }
}

/**
 * The tiers as they are finished, g: the cake itself by its volume, what is spread on each, borders where they run, and the
 * rest of what is piped where it stands, or shared out by what is seen of each tier.
 */
function tierGrams({ order, workshop }: Lookup, piece: CakePiece, uses: readonly Use[]): number[] {
  const bodies = surfaceDefinition('cake').bodies(piece.shape)
  const seen = bodies.reduce((sum, b) => sum + b.seenMm2, 0)
  const grams = piece.shape.tiers.map(
    ({ diameterMm, heightMm }) =>
      ((Math.PI * diameterMm ** 2) / 4) * heightMm * (workshop.settings.cakeDensity / 1000),
  )
  for (const use of uses.filter((u) => u.pieceId === piece.id)) {
    const each = use.parts.reduce((sum, p) => sum + p.piped, 0) / piece.count
    const shares = tierShares(piece, use) ?? bodies.map((body) => body.seenMm2 / seen)
    for (const [i, share] of shares.entries()) grams[i]! += each * share
  }
  for (const placed of piece.setOns) {
    const thing = order.setOns.find((t) => t.id === placed.setOnId)
    if (!thing) continue
    const each = setOnGrams(thing, setOnsOn(piece, placed) / piece.count)
    const shares = siteShares(piece, placed.id) ?? bodies.map((body) => body.seenMm2 / seen)
    for (const [i, share] of shares.entries()) grams[i]! += each * share
  }
  return grams
}

/** Shares of a use by tier; null where nobody has said where it goes. */
function tierShares(piece: CakePiece, use: Use): number[] | null {
  const only = (tier: number) => piece.shape.tiers.map((_, i) => (i === tier ? 1 : 0))
  if (use.form === 'coat') return only(Number(use.id.slice(piece.id.length + 1).split('.')[1] ?? 0))
  const placement = piece.flowers.find((f) => f.id === use.placedId)?.placement
  if (placement?.kind === 'border') return only(placement.tier)
  return siteShares(piece, use.placedId)
}

/** Shares of what has places by tier; null for what has none. */
function siteShares(piece: CakePiece, placedId: string | null): number[] | null {
  const sites = piece.layouts.flatMap((l) => l.sites).filter((s) => s.placedId === placedId)
  if (sites.length === 0) return null
  const top = piece.shape.tiers.length - 1
  return piece.shape.tiers.map(
    (_, i) => sites.filter((s) => Math.min(top, s.place.tier) === i).length / sites.length,
  )
}

/** How high the highest flower stands that can be on the top: all of them, where nobody has said where they go, mm. */
function standingMm(piece: CakePiece, placements: readonly FittedPlacement[]): number {
  const top = piece.shape.tiers.length - 1
  const onTop = ({ placed }: FittedPlacement) =>
    piece.layouts.length === 0 ||
    (placed.placement.kind === 'border' &&
      placed.placement.edge === 'top' &&
      placed.placement.tier === top) ||
    piece.layouts.some((l) =>
      l.sites.some((s) => s.placedId === placed.id && s.place.zone === 'top' && s.place.tier >= top),
    )
  return Math.max(0, ...placements.filter(onTop).map((p) => p.fitted.measure.heightMm))
}

function supportsUnder(diameterMm: number, aboveGrams: number, lengthMm: number, settings: Settings) {
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
