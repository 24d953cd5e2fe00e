import { useMemo } from 'react'
import { flowersOn } from '#core/model/arrangements'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { coatsOf } from '../solid/bodyOf.ts'
import { drawnFlowers } from './drawnFlowers.ts'
import { PiecePicture } from './PiecePicture.tsx'

/** A piece of an order from above, in the order's colours, with as many of each flower as stand on one of it. */
export function OrderPiece(props: {
  order: Order
  pieceId: string
  workshop: Workshop
  size: number
  lit?: { layout: number; siteId: string } | null
}) {
  const { order, pieceId, workshop, size, lit = null } = props
  const piece = order.pieces.find((p) => p.id === pieceId)!
  const flowers = useMemo(
    () =>
      drawnFlowers(piece, order.colours, workshop, (placed) =>
        placed.placement.kind === 'each'
          ? Math.max(1, Math.round(flowersOn(piece, placed) / piece.count))
          : 1,
      ),
    [piece, order.colours, workshop],
  )
  const coats = useMemo(() => coatsOf(piece, order.colours), [piece, order.colours])
  return (
    <PiecePicture piece={piece} flowers={flowers} coats={coats} workshop={workshop} size={size} lit={lit} />
  )
}
