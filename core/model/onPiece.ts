import { dequal as equal } from 'dequal/lite'
import type { Site } from './layout.ts'
import type { Order, Piece, PlacedFlower } from './order.ts'

/**
 * Some flowers of an arrangement in another size: they go to a flower of the piece that is the same but for that size, a new one
 * where there is none. All of a flower at once is simply that flower in another size.
 */
export function resizeSites(
  order: Order,
  pieceId: string,
  layoutId: string,
  siteIds: ReadonlySet<string>,
  sizeMm: number,
  newId: () => string,
): Order {
  return {
    ...order,
    pieces: order.pieces.map((piece) =>
      piece.id === pieceId ? resized(piece, layoutId, siteIds, sizeMm, newId) : piece,
    ),
  }
}

function resized(
  piece: Piece,
  layoutId: string,
  siteIds: ReadonlySet<string>,
  sizeMm: number,
  newId: () => string,
): Piece {
  const chosen = piece.layouts
    .filter((l) => l.id === layoutId)
    .flatMap((l) => l.sites)
    .filter((s) => siteIds.has(s.id))
  let { flowers } = piece
  const to = new Map<string, string>()
  for (const placedId of new Set(chosen.map((s) => s.placedId))) {
    const flower = flowers.find((f) => f.id === placedId)
    if (!flower) continue
    const all = piece.layouts.flatMap((l) => l.sites).filter((s) => s.placedId === placedId)
    const twin = flowers.find((f) => f !== flower && equal({ ...f, id: '' }, { ...flower, id: '', sizeMm }))
    if (!twin && all.every((s) => siteIds.has(s.id))) {
      flowers = flowers.map((f) => (f === flower ? { ...f, sizeMm } : f))
      continue
    }
    const into: PlacedFlower = twin ?? { ...flower, id: newId(), sizeMm }
    if (!twin) flowers = flowers.flatMap((f) => (f === flower ? [f, into] : [f]))
    to.set(placedId, into.id)
  }
  return withoutUnused({
    ...piece,
    flowers,
    layouts: piece.layouts.map((l) =>
      l.id === layoutId
        ? {
            ...l,
            sites: l.sites.map((s) =>
              siteIds.has(s.id) ? { ...s, placedId: to.get(s.placedId) ?? s.placedId } : s,
            ),
          }
        : l,
    ),
  })
}

/** Twins that only differ in size and of which none stands anywhere any more go; what a person put on the piece stays. */
function withoutUnused(piece: Piece): Piece {
  const standing = new Set(piece.layouts.flatMap((l) => l.sites.map((s) => s.placedId)))
  const bare = ({ id: _i, sizeMm: _s, ...rest }: PlacedFlower) => rest
  return {
    ...piece,
    flowers: piece.flowers.filter(
      (f) =>
        f.placement.kind !== 'each' ||
        standing.has(f.id) ||
        !piece.flowers.some((g) => g !== f && standing.has(g.id) && equal(bare(g), bare(f))),
    ),
  }
}

/** One flower of one piece changed; every other piece is the same object as before. */
export function onPlaced(
  order: Order,
  { pieceId, placedId }: { pieceId: string; placedId: string },
  change: (placed: PlacedFlower) => PlacedFlower,
): Order {
  return {
    ...order,
    pieces: order.pieces.map((piece) =>
      piece.id === pieceId ? withFlowers(piece, (f) => (f.id === placedId ? change(f) : f)) : piece,
    ),
  }
}

/** Every flower of every piece gone through. */
export function mapPlaced(order: Order, change: (placed: PlacedFlower, piece: Piece) => PlacedFlower): Order {
  return { ...order, pieces: order.pieces.map((piece) => withFlowers(piece, (f) => change(f, piece))) }
}

const withFlowers = (piece: Piece, change: (placed: PlacedFlower) => PlacedFlower): Piece => ({
  ...piece,
  flowers: piece.flowers.map(change),
})

/** A flower, or something else that is put on, taken off a piece, and with it every place where it stands. */
export function takeOff(order: Order, pieceId: string, placedId: string): Order {
  return {
    ...order,
    pieces: order.pieces.map((piece) =>
      piece.id === pieceId
        ? {
            ...piece,
            flowers: piece.flowers.filter((f) => f.id !== placedId),
            setOns: piece.setOns.filter((s) => s.id !== placedId),
            layouts: piece.layouts.map((layout) => ({
              ...layout,
              sites: withoutSites(layout.sites, (s) => s.placedId === placedId),
              lines: layout.lines.filter((l) => l.kind !== 'border' || l.placedId !== placedId),
            })),
          }
        : piece,
    ),
  }
}

/** Places without some of them; leaves whose flower goes are under nothing then. */
function withoutSites(sites: readonly Site[], goes: (site: Site) => boolean): Site[] {
  const gone = new Set(sites.filter(goes).map((s) => s.id))
  return sites
    .filter((s) => !gone.has(s.id))
    .map((s) => (s.hostId && gone.has(s.hostId) ? { ...s, hostId: null } : s))
}
