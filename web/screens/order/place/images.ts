import { useMemo } from 'react'
import type { PlacedKind } from '#core/placing/placedKinds'
import { bounds, paintFlower } from '../../../drawings/paintFlower.ts'

/** A flower painted once, to be put down as often as it stands there. */
export interface Stamp {
  image: HTMLCanvasElement
  /** Width of the picture, and how far its middle is from the middle of the flower, mm, y up. */
  wideMm: number
  offX: number
  offY: number
}

/** So fine that a flower of 50 mm is still sharp on a dense screen. */
const PX_PER_MM = 5
const ROOM = 1.04

/** Pictures of flowers from above, by placed flower; painted anew when shapes or colours change. */
export function useStamps(kinds: readonly PlacedKind[]): ReadonlyMap<string, Stamp> {
  return useMemo(() => new Map(kinds.map((k) => [k.placedId, stampOf(k)])), [kinds])
}

function stampOf({ shapes, colours, kind }: PlacedKind): Stamp {
  const { x, y, half } = bounds(shapes)
  const wideMm = 2 * half * ROOM
  const pixels = Math.max(8, Math.round(wideMm * PX_PER_MM))
  const image = document.createElement('canvas')
  image.width = pixels
  image.height = pixels
  const ctx = image.getContext('2d')
  if (ctx) {
    const scale = pixels / wideMm
    ctx.setTransform(scale, 0, 0, -scale, pixels / 2 - x * scale, pixels / 2 + y * scale)
    paintFlower(ctx, shapes, colours)
  }
  return { image, wideMm, offX: x - kind.middleX, offY: y - kind.middleY }
}
