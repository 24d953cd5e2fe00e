import type { Order, Piece } from '../model/order.ts'
import type { SurfaceKind } from '../surfaces/index.ts'

/** An empty order for a day, piped in the given icing kind. */
export function newOrder(id: string, title: string, collectAt: string, icingKindId: string): Order {
  return {
    id,
    title,
    customer: '',
    collectAt,
    note: '',
    travel: 'collected',
    boxMm: null,
    avoid: [],
    icingKindId,
    safety: 'safe',
    practicePerFlower: 1,
    mixing: { school: 'separate' },
    bagPins: [],
    arrangement: null,
    colours: [],
    pieces: [],
  }
}

/** What a new piece of each kind starts from. */
const starts: Record<SurfaceKind, Omit<Piece, 'id'>> = {
  cupcake: start('Cupcakes', 12, { kind: 'cupcake', diameterMm: 65, domeMm: 8 }),
  cookie: start('Cookies', 12, { kind: 'cookie', diameterMm: 75 }),
  cake: start('Cake', 1, { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 }),
  sheet: start('Sheet cake', 1, { kind: 'sheet', lengthMm: 400, widthMm: 300, heightMm: 60 }),
}

function start(name: string, count: number, shape: Piece['shape']): Omit<Piece, 'id'> {
  const spreads = { crumbCoat: null, coat: null, filling: null, ownTiers: [] }
  return { name, count, shape, icingKindId: null, ...spreads, flowers: [], layouts: [] }
}

/** A new, bare piece of a kind. */
export function newPiece(id: string, kind: SurfaceKind): Piece {
  return { id, ...structuredClone(starts[kind]) }
}

/** A copy of a piece under a new name, its flowers and their places with new ids. */
export function duplicatePiece(piece: Piece, newId: () => string): Piece {
  const ids = new Map(piece.flowers.map((f) => [f.id, newId()]))
  return {
    ...piece,
    id: newId(),
    name: `${piece.name} (copy)`.slice(0, 80),
    flowers: piece.flowers.map((f) => ({ ...f, id: ids.get(f.id)! })),
    layouts: piece.layouts.map((layout) => ({
      ...layout,
      id: newId(),
      sites: layout.sites.map((s) => ({ ...s, placedId: ids.get(s.placedId) ?? s.placedId })),
    })),
  }
}
