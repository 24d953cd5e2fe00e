import { type PointerEvent, type RefObject, useRef } from 'react'
import { moveBy } from '#core/placing/byHand'
import type { PieceScene } from '../../../solid/pieceScene.ts'
import type { Placing } from './usePlacing.ts'

/** A drag that is shorter is a press, mm on the surface. */
const LEAST_DRAG_MM = 1.5

/** A flower that is taken hold of in the solid is dragged over the surface; anything else turns the piece. */
export function useTaken(placing: Placing, scene: RefObject<PieceScene | null>) {
  const { hand, chosen } = placing
  const taken = useRef<{ id: string; from: { x: number; y: number; z: number } } | null>(null)
  const at = (e: PointerEvent<HTMLDivElement>) => {
    const box = e.currentTarget.getBoundingClientRect()
    return [e.clientX - box.left, e.clientY - box.top] as const
  }
  const dragged = (e: PointerEvent<HTMLDivElement>) => {
    const hit = taken.current && scene.current?.hit(...at(e))
    if (!taken.current || !hit) return null
    const { id, from } = taken.current
    const ids = chosen.has(id) ? chosen : new Set([id])
    const by = { x: hit.x - from.x, y: hit.y - from.y, z: hit.z - from.z }
    return Math.hypot(by.x, by.y, by.z) < LEAST_DRAG_MM ? null : moveBy(hand, ids, by)
  }
  return {
    onPointerDownCapture: (e: PointerEvent<HTMLDivElement>) => {
      const id = scene.current?.pick(...at(e))
      if (!id) return
      const hit = scene.current?.hit(...at(e))
      scene.current?.turnable(false)
      if (!chosen.has(id)) placing.choose([id], e.shiftKey)
      if (hit) taken.current = { id, from: hit }
      e.currentTarget.setPointerCapture(e.pointerId)
    },
    onPointerMove: (e: PointerEvent<HTMLDivElement>) => {
      const next = dragged(e)
      if (next) placing.drag(next)
    },
    onPointerUp: (e: PointerEvent<HTMLDivElement>) => {
      const next = dragged(e)
      taken.current = null
      scene.current?.turnable(true)
      placing.drag(null)
      if (next) placing.change('move', () => next)
    },
  }
}
