import { useMemo } from 'react'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { FlowerPicture } from '../drawings/FlowerPicture.tsx'
import { usePicture } from '../workers/flowers.ts'
import { useThumbnail } from '../workers/thumbnails.ts'

/** A flower as small as a bar of the timetable is high, in the colours of its order. */
export function FlowerDab(props: {
  order: Order
  workshop: Workshop
  pieceId: string
  flowerId: string
  size: number
}) {
  const { order, workshop, pieceId, flowerId, size } = props
  const placed = order.pieces.find((p) => p.id === pieceId)?.flowers.find((f) => f.flowerId === flowerId)
  const recipe = workshop.flowers.find((f) => f.id === flowerId)
  const own = useMemo(() => (recipe && placed ? flowerForOrder(recipe, placed) : undefined), [recipe, placed])
  const fitting = useMemo(() => ({ sizeMm: placed?.sizeMm ?? null, tips: placed?.tips ?? {} }), [placed])
  const { picture } = usePicture(own?.flower, fitting, workshop)
  const colours = useMemo(() => {
    const hexOf = new Map(order.colours.map((c) => [c.id, c.hex]))
    return Object.fromEntries(
      (own?.flower.roles ?? []).map((r) => [r.id, hexOf.get(own?.colours[r.id] ?? '') ?? r.hex]),
    )
  }, [order.colours, own])
  const solid = useThumbnail(picture, colours, true)
  if (!picture) return null
  return solid ? (
    <img src={solid} alt="" width={size} height={size} />
  ) : (
    <FlowerPicture shapes={picture.shapes} colours={colours} size={size} label="" />
  )
}
