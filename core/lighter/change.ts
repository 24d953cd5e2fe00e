import { flowersOn } from '../model/arrangements.ts'
import type { Layout } from '../model/layout.ts'
import { onPlaced, takeOff } from '../model/onPiece.ts'
import type { Order, Piece } from '../model/order.ts'
import { setOnSchema } from '../model/setOn.ts'
import { type Change, withChanges } from '../plan/fewer/change.ts'
import { replaceColour } from '../plan/remedies.ts'

/** One thing done otherwise than it was ordered, so that it is less work. */
export type LighterChange =
  /** Another recipe in the place of a flower, in its colours. */
  | {
      kind: 'flower'
      pieceId: string
      placedId: string
      flowerId: string
      colours: Record<string, string>
      /** Null as it comes. */
      sizeMm: number | null
    }
  /** Rows or details of a flower left out. */
  | { kind: 'rows'; pieceId: string; placedId: string; leftOut: string[] }
  /** So large a share of a flower's number, and each so wide; null for the width that it has. */
  | { kind: 'fewer'; pieceId: string; placedId: string; share: number; sizeMm: number | null }
  /** Units of a border in another size. */
  | { kind: 'size'; pieceId: string; placedId: string; sizeMm: number }
  | { kind: 'off'; pieceId: string; placedId: string }
  /** A colour of the order piped in another of its colours. */
  | { kind: 'colour'; fromId: string; intoId: string }
  /** Dots and threads painted on with food colour instead of being piped from a bowl of their own. */
  | { kind: 'painted'; pieceId: string; placedId: string; leftOut: string[]; name: string; hex: string }
  /** Layers through openings, or at stiffnesses, that others of the order use already. */
  | { kind: 'tips'; changes: Change[] }

/** The order with these changes, one after the other; whoever has arranged its bags finds them arranged anew. */
export function lightened(order: Order, changes: readonly LighterChange[]): Order {
  const made = changes.reduce(changed, order)
  return changes.length === 0 ? order : { ...made, arrangement: null }
}

function changed(order: Order, change: LighterChange): Order {
  switch (change.kind) {
    case 'colour':
      return replaceColour(order, change.fromId, change.intoId)
    case 'tips':
      return withChanges(order, new Map(change.changes.map(({ useId, ...how }) => [useId, how])))
    case 'off':
      return takeOff(order, change.pieceId, change.placedId)
    case 'flower': {
      const { flowerId, colours, sizeMm } = change
      // what was chosen for the layers of the other recipe says nothing about this one's
      const bare = {
        tips: {},
        stiffness: {},
        leftOut: [],
        batch: null,
        twoTone: {},
        layerColours: {},
        added: [],
      }
      return onPlaced(order, change, (placed) => ({ ...placed, ...bare, flowerId, colours, sizeMm }))
    }
    case 'rows':
      return onPlaced(order, change, (placed) => ({
        ...placed,
        leftOut: [...new Set([...placed.leftOut, ...change.leftOut])],
      }))
    case 'painted':
      return painted(order, change)
    case 'size':
      return onPlaced(order, change, (placed) => ({ ...placed, sizeMm: change.sizeMm }))
    case 'fewer':
      return {
        ...order,
        pieces: order.pieces.map((p) => (p.id === change.pieceId ? fewerOn(p, change) : p)),
      }
  }
}

type Painted = Extract<LighterChange, { kind: 'painted' }>

/** Nothing that is painted takes room or weighs anything to speak of. */
const PAINTED = { kind: 'painted', widthMm: 5, heightMm: 0, grams: 0, cost: 0, when: 'last' } as const

/** A flower without some layers, and as many painted details as there are of it, one each. */
function painted(order: Order, change: Painted): Order {
  const { pieceId, placedId, leftOut, name, hex } = change
  const piece = order.pieces.find((p) => p.id === pieceId)
  const placed = piece?.flowers.find((f) => f.id === placedId)
  if (!piece || !placed) return order
  const id = `painted-${pieceId}-${placedId}`.slice(0, 64)
  const without = changed(order, { kind: 'rows', pieceId, placedId, leftOut })
  // whether a colour may be eaten is on its bottle, which nobody has read here
  const thing = setOnSchema.parse({ ...PAINTED, id, name, hex, edible: 'unread' })
  return {
    ...without,
    setOns: [...without.setOns.filter((s) => s.id !== id), thing],
    pieces: without.pieces.map((p) =>
      p.id === pieceId
        ? {
            ...p,
            setOns: [
              ...p.setOns.filter((s) => s.id !== id),
              { id, setOnId: id, perPiece: Math.max(1, flowersOn(piece, placed) / piece.count) },
            ],
          }
        : p,
    ),
  }
}

type Fewer = Extract<LighterChange, { kind: 'fewer' }>

function fewerOn(piece: Piece, { placedId, share, sizeMm }: Fewer): Piece {
  return {
    ...piece,
    flowers: piece.flowers.map((f) => {
      if (f.id !== placedId) return f
      const sized = sizeMm === null ? f : { ...f, sizeMm }
      if (f.placement.kind !== 'each') return sized
      return { ...sized, placement: { ...f.placement, perPiece: lessOf(f.placement.perPiece, share) } }
    }),
    layouts: piece.layouts.map((layout) => thinned(layout, placedId, share)),
  }
}

/** So many are left of a number: at least one. */
export const lessOf = (count: number, share: number): number => Math.max(1, Math.round(count * share))

/** An arrangement in which so large a share of a flower's places is kept, spread over all of them. */
function thinned(layout: Layout, placedId: string, share: number): Layout {
  const own = layout.sites.filter((s) => s.placedId === placedId)
  if (own.length === 0) return layout
  const left = lessOf(own.length, share)
  const kept = new Set(
    Array.from({ length: left }, (_, i) => own[Math.floor(((i + 0.5) * own.length) / left)]!.id),
  )
  const gone = new Set(own.filter((s) => !kept.has(s.id)).map((s) => s.id))
  return {
    ...layout,
    sites: layout.sites
      .filter((s) => !gone.has(s.id))
      // leaves whose flower is gone are under nothing then
      .map((s) => (s.hostId && gone.has(s.hostId) ? { ...s, hostId: null } : s)),
  }
}
