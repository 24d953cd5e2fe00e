import type { Layer } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { ON_A_RING } from '../places/index.ts'
import { strokeSchema } from '../strokes/index.ts'
import type { Opening } from '../tips/index.ts'
import type { ResolvedLayer } from './layers.ts'

/** Caliper and ruler on a drawn solid: mean width over 36 directions, greatest width, top. */
export function measuredSolid(points: Float32Array) {
  const widths = Array.from({ length: 36 }, (_, d) => {
    const [c, s] = [Math.cos((Math.PI * d) / 36), Math.sin((Math.PI * d) / 36)]
    let [low, high] = [0, 0]
    for (let o = 0; o < points.length; o += 3) {
      const along = c * points[o]! + s * points[o + 1]!
      low = Math.min(low, along)
      high = Math.max(high, along)
    }
    return high - low
  })
  let top = 0
  for (let o = 2; o < points.length; o += 3) top = Math.max(top, points[o]!)
  return { mean: widths.reduce((a, b) => a + b) / 36, most: Math.max(...widths), top }
}

/** A layer of one stroke through one opening, as a fitted flower holds it; plain, at the centre, once, unless said. */
export function laid(stroke: object, opening: Opening, more: Partial<Layer> = {}): ResolvedLayer {
  const id = more.id ?? 'layer'
  return {
    layer: {
      id,
      name: id,
      tipId: `tip-of-${id}`,
      stiffness: 'medium',
      load: { kind: 'plain', role: 'icing' },
      count: 1,
      ringMm: 0,
      heightMm: 0,
      startDeg: 0,
      spreadDeg: 360,
      at: ON_A_RING,
      floretId: null,
      tools: [],
      ...more,
      stroke: strokeSchema.parse(stroke),
    } as Layer,
    tip: {
      id: `tip-of-${id}`,
      label: '',
      owned: 1,
      opening,
      needsLargeCoupler: false,
    } as unknown as OwnedTip,
  }
}
