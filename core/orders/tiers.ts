import type { Piece } from '../model/order.ts'
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
    flowers: piece.flowers
      .filter(({ placement }) => placement.kind !== 'border' || placement.tier !== tier)
      .map((f) =>
        f.placement.kind === 'border'
          ? { ...f, placement: { ...f.placement, tier: down(f.placement.tier) } }
          : f,
      ),
  }
}
