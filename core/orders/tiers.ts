import type { Layout } from '../model/layout.ts'
import type { Piece } from '../model/order.ts'
import type { Place } from '../surfaces/chart.ts'
import type { Surface } from '../surfaces/index.ts'

export type CakePiece = Piece & { shape: Extract<Surface, { kind: 'cake' }> }
export const isCake = (piece: Piece): piece is CakePiece => piece.shape.kind === 'cake'

/** A new tier is so much narrower than the one it stands on, mm, but no narrower than a tier can be. */
const STEP_IN_MM = 60
const LEAST_MM = 60
export const MOST_TIERS = 8

/** How wide a tier may be: no wider than the one below it, no narrower than the one on it, mm. */
export function tierLimits(piece: CakePiece, tier: number): { leastMm: number; mostMm: number } {
  const { tiers } = piece.shape
  return { leastMm: tiers[tier + 1]?.diameterMm ?? LEAST_MM, mostMm: tiers[tier - 1]?.diameterMm ?? 600 }
}

/** One more tier on top, as high as the one it stands on. */
export function addTier(piece: CakePiece): CakePiece {
  const top = piece.shape.tiers.at(-1)!
  const upper = { ...top, diameterMm: Math.max(LEAST_MM, top.diameterMm - STEP_IN_MM) }
  return { ...piece, shape: { ...piece.shape, tiers: [...piece.shape.tiers, upper] } }
}

/** A tier changed in its measures. */
export function setTier(piece: CakePiece, tier: number, part: Partial<CakePiece['shape']['tiers'][number]>) {
  const tiers = piece.shape.tiers.map((t, i) => (i === tier ? { ...t, ...part } : t))
  return { ...piece, shape: { ...piece.shape, tiers } }
}

/** Without one of its tiers: borders and coats of the tiers above go down with them, its own go with it. */
export function removeTier(piece: CakePiece, tier: number): CakePiece {
  const down = (of: number) => (of > tier ? of - 1 : of)
  return {
    ...piece,
    shape: { ...piece.shape, tiers: piece.shape.tiers.filter((_, i) => i !== tier) },
    ownTiers: piece.ownTiers
      .filter((own) => own.tier !== tier)
      .map((own) => ({ ...own, tier: down(own.tier) })),
    layouts: piece.layouts.map((layout) => ({ ...layout, ...withoutTier(layout, tier) })),
    flowers: piece.flowers
      .filter(({ placement }) => placement.kind !== 'border' || placement.tier !== tier)
      .map((f) =>
        f.placement.kind === 'border'
          ? { ...f, placement: { ...f.placement, tier: down(f.placement.tier) } }
          : f,
      ),
  }
}

/** What stood on a tier goes with it, leaves with their flower; what stood above comes down. */
function withoutTier({ sites, keepOuts, words, path }: Layout, tier: number) {
  const lower = <T extends { place: Place }>(thing: T): T =>
    thing.place.tier > tier ? { ...thing, place: { ...thing.place, tier: thing.place.tier - 1 } } : thing
  const stays = <T extends { place: Place }>(thing: T) => thing.place.tier !== tier
  const left = sites.filter(stays)
  const there = new Set(left.map((s) => s.id))
  return {
    sites: left.map(lower).map((s) => (s.hostId && !there.has(s.hostId) ? { ...s, hostId: null } : s)),
    keepOuts: keepOuts.filter(stays).map(lower),
    words: words.filter(stays).map(lower),
    path: path.filter((p) => p.tier !== tier).map((p) => (p.tier > tier ? { ...p, tier: p.tier - 1 } : p)),
  }
}
