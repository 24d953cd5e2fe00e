import type { BouquetOutline } from '../surfaces/bouquet.ts'
import { edgeFinder, edgesOf } from '../surfaces/edges.ts'
import { heartLoop } from '../surfaces/heart.ts'
import { boxOf, type Cutout, wideAs } from '../surfaces/outline.ts'

/** Ground of a shape about the middle of its box, one wide: how far inside it a place is, negative outside. */
export interface Field {
  insideOf(x: number, y: number): number
  /** Half its depth, where half its width is 0.5. */
  halfDeep: number
}

/** A ring is so wide at its inner edge, in its outer. */
const RING_INNER = 0.5

/** The ground of what is filled; fans are laid in rows, and letters are followed. */
export function fieldOf(outline: Exclude<BouquetOutline, { kind: 'letters' | 'fan' }>): Field {
  switch (outline.kind) {
    case 'round':
      return { insideOf: (x, y) => 0.5 - Math.hypot(x, y), halfDeep: 0.5 }
    case 'ring':
      return {
        insideOf: (x, y) => Math.min(0.5 - Math.hypot(x, y), Math.hypot(x, y) - 0.5 * RING_INNER),
        halfDeep: 0.5,
      }
    case 'heart':
      return ofShapes([[heartLoop]])
    case 'drawn':
      return ofShapes(outline.shapes)
  }
}

/** Distances of a drawn outline are looked up on a grid so fine, in its width, rather than measured each time. */
const GRID = 160
const BEYOND = 0.3

function ofShapes(shapes: readonly Cutout[]): Field {
  const unit = wideAs(shapes, 1)
  const nearest = edgeFinder(edgesOf(unit))
  const { high } = boxOf(unit.flat(2))
  const [halfX, halfY] = [0.5 + BEYOND, high + BEYOND]
  const [w, h] = [halfX, halfY].map((v) => Math.ceil(2 * v * GRID) + 2) as [number, number]
  const grid = new Float64Array(w * h)
  for (let k = 0; k < h; k++)
    for (let i = 0; i < w; i++) grid[k * w + i] = nearest(i / GRID - halfX, k / GRID - halfY).off
  return {
    halfDeep: high,
    insideOf(x, y) {
      const [fx, fy] = [(x + halfX) * GRID, (y + halfY) * GRID]
      const [i, k] = [Math.floor(fx), Math.floor(fy)]
      if (i < 0 || k < 0 || i >= w - 1 || k >= h - 1) return -BEYOND
      const [tx, ty] = [fx - i, fy - k]
      const row = (at: number) => grid[at]! + tx * (grid[at + 1]! - grid[at]!)
      return row(k * w + i) + ty * (row((k + 1) * w + i) - row(k * w + i))
    },
  }
}
