import { arrangeBouquet } from '../bouquet/arrange.ts'
import { NOTHING_SETTLED } from '../model/day.ts'
import { NO_OFFER, type Order, type Piece } from '../model/order.ts'
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
    promiseFor: 'colour',
    practicePerFlower: 1,
    piper: '',
    drills: [],
    mixing: { school: 'separate' },
    bagPins: [],
    wavedOff: [],
    arrangement: null,
    settled: NOTHING_SETTLED,
    offer: NO_OFFER,
    colours: [],
    setOns: [],
    pieces: [],
  }
}

/** An outline to begin with, in shares of its width: an oval that somebody draws over. */
const blob = Array.from({ length: 48 }, (_, i) => ({
  x: 0.5 * Math.cos((2 * Math.PI * i) / 48),
  y: 0.36 * Math.sin((2 * Math.PI * i) / 48),
}))

/** What a new piece of each kind starts from. */
const starts: Record<SurfaceKind, () => Omit<Piece, 'id'>> = {
  cupcake: () => start('Cupcakes', 12, { kind: 'cupcake', diameterMm: 65, domeMm: 8 }),
  cookie: () => start('Cookies', 12, { kind: 'cookie', diameterMm: 75 }),
  cake: () => start('Cake', 1, { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 }),
  sheet: () => start('Sheet cake', 1, { kind: 'sheet', lengthMm: 400, widthMm: 300, heightMm: 60 }),
  heart: () => start('Heart', 1, { kind: 'heart', widthMm: 220, heightMm: 70 }),
  hexagon: () => start('Hexagons', 12, { kind: 'hexagon', diameterMm: 75, heightMm: 0 }),
  ring: () => start('Ring cake', 1, { kind: 'ring', diameterMm: 240, holeMm: 80, heightMm: 80 }),
  number: () =>
    start('Number cake', 1, { kind: 'number', digits: '30', tallMm: 300, barMm: 70, heightMm: 60 }),
  bouquet: () =>
    start('Cupcake bouquet', 1, {
      ...{ kind: 'bouquet', diameterMm: 65, domeMm: 8, standMm: 42, outline: { kind: 'fan' }, vase: null },
      at: arrangeBouquet({ kind: 'fan' }, 18, 65),
    }),
  drawn: () => start('Own outline', 1, { kind: 'drawn', widthMm: 220, heightMm: 60, shapes: [[blob]] }),
}

function start(name: string, count: number, shape: Piece['shape']): Omit<Piece, 'id'> {
  const spreads = { crumbCoat: null, coat: null, filling: null, ownTiers: [] }
  return {
    name,
    count,
    shape,
    icingKindId: null,
    ...spreads,
    flowers: [],
    setOns: [],
    wish: null,
    layouts: [],
  }
}

/** A new, bare piece of a kind. */
export function newPiece(id: string, kind: SurfaceKind): Piece {
  return { id, ...starts[kind]() }
}

/** A copy of a piece under a new name, its flowers and their places with new ids. */
export function duplicatePiece(piece: Piece, newId: () => string): Piece {
  const ids = new Map([...piece.flowers, ...piece.setOns].map((f) => [f.id, newId()]))
  return {
    ...piece,
    id: newId(),
    name: `${piece.name} (copy)`.slice(0, 80),
    flowers: piece.flowers.map((f) => ({ ...f, id: ids.get(f.id)! })),
    setOns: piece.setOns.map((s) => ({ ...s, id: ids.get(s.id)! })),
    layouts: piece.layouts.map((layout) => ({
      ...layout,
      id: newId(),
      sites: layout.sites.map((s) => ({ ...s, placedId: ids.get(s.placedId) ?? s.placedId })),
      lines: layout.lines.map((line) =>
        line.kind === 'border'
          ? { ...line, placedId: ids.get(line.placedId) ?? line.placedId }
          : {
              ...line,
              leafId: line.leafId && (ids.get(line.leafId) ?? null),
              budId: line.budId && (ids.get(line.budId) ?? null),
            },
      ),
    })),
  }
}
