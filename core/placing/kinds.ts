import type { ViewShape } from '../flowers/strokeShapes.ts'
import type { Flower } from '../model/flower.ts'
import type { Kind } from './body.ts'
import { type HangLimits, mayHang } from './hang.ts'

/** What is known of a flower of the order when it is to be placed. */
export interface Known {
  placedId: string
  flower: Pick<Flower, 'id' | 'form' | 'setting'>
  /** It seen from above, as it is piled. */
  shapes: readonly ViewShape[]
  diameterMm: number
  heightMm: number
  /** One of it. */
  grams: number
  hex: string
}

/** Longer than so many times its width, a flower lies on its side. */
const ON_ITS_SIDE = 1.7

/** A flower of the order as placing sees it. */
export function kindOf(known: Known, limits: HangLimits): Kind {
  const { left, right, low, high } = boxOf(known.shapes)
  const [longMm, wideMm] = [right - left, high - low]
  const { form, setting } = known.flower
  const lies = (form !== 'flower' && setting !== 'nail') || longMm > ON_ITS_SIDE * wideMm
  return {
    placedId: known.placedId,
    flowerId: known.flower.id,
    lies,
    r: lies ? Math.max(longMm, wideMm) / 2 : known.diameterMm / 2,
    h: known.heightMm,
    longMm,
    wideMm,
    ...middleOf(known.shapes),
    grams: known.grams,
    hex: known.hex,
    mayHang: mayHang(known.grams, lies ? wideMm : known.diameterMm, known.heightMm, limits),
  }
}

/** The middle of a picture from where its recipe begins, mm. */
export function middleOf(shapes: readonly ViewShape[]): { middleX: number; middleY: number } {
  const { left, right, low, high } = boxOf(shapes)
  return { middleX: (left + right) / 2, middleY: (low + high) / 2 }
}

/** The box around a picture, mm. */
function boxOf(shapes: readonly ViewShape[]) {
  const box = { left: 0, right: 0, low: 0, high: 0 }
  const grow = (x: number, y: number, r: number) => {
    box.left = Math.min(box.left, x - r)
    box.right = Math.max(box.right, x + r)
    box.low = Math.min(box.low, y - r)
    box.high = Math.max(box.high, y + r)
  }
  for (const shape of shapes) {
    if (shape.kind === 'disc') grow(shape.x, shape.y, shape.radiusMm)
    else
      for (let i = 0; i < shape.points.length; i += 2)
        grow(shape.points[i]!, shape.points[i + 1]!, shape.kind === 'rope' ? shape.radiusMm : 0)
  }
  return box
}
