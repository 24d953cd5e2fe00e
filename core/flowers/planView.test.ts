import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { aimedView, planView } from './planView.ts'
import { fitFlower } from './resolve.ts'

const view = (id: string) => {
  const flower = starterWorkshop.flowers.find((f) => f.id === id)!
  const fitted = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
  return { flower, measure: fitted.measure, shapes: planView(fitted.layers) }
}

describe('a flower from above', () => {
  it('is drawn from the lowest stroke to the highest', () => {
    const heights = view('rose').shapes.map((s) => s.heightMm)
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
  })
  it('shows both colours of a striped petal, and every stroke of a plain one', () => {
    const { shapes } = view('hellebore')
    expect(
      shapes
        .filter((s) => s.layerId === 'petals')
        .map((s) => s.role)
        .sort(),
    ).toEqual([...Array(5).fill('blush'), ...Array(5).fill('petal')])
    expect(shapes.filter((s) => s.layerId === 'anthers')).toHaveLength(16)
  })
  it('reaches as far as the flower is said to be wide', () => {
    for (const id of ['hellebore', 'dahlia', 'daisy', 'aster']) {
      const { shapes, measure } = view(id)
      const reach = Math.max(
        ...shapes.flatMap((s) =>
          s.kind === 'disc'
            ? [Math.hypot(s.x, s.y) + s.radiusMm]
            : s.points.flatMap((x, i) => (i % 2 === 0 ? [Math.hypot(x, s.points[i + 1]!)] : [])),
        ),
      )
      expect(Math.abs(2 * reach - measure.diameterMm) / measure.diameterMm, id).toBeLessThan(0.1)
    }
  })
  it('shows a soft rope as much wider as it has sunk, a stiff one nearly as it was aimed', () => {
    const scroll = starterWorkshop.flowers.find((f) => f.id === 'scroll')!
    const { layers } = fitFlower(scroll, { sizeMm: null, tips: {} }, starterWorkshop.tips)
    const radius = (of: typeof layers, show: typeof planView) =>
      show(of).reduce((most, s) => Math.max(most, s.kind === 'rope' ? s.radiusMm : 0), 0)
    const at = (stiffness: 'stiff' | 'soft') =>
      layers.map(({ layer, tip }) => ({ layer: { ...layer, stiffness }, tip }))
    const aimed = radius(layers, aimedView)
    expect(radius(at('stiff'), planView) / aimed).toBeGreaterThan(1)
    expect(radius(at('soft'), planView) / radius(at('stiff'), planView)).toBeCloseTo(
      Math.sqrt(0.86 / 0.56),
      1,
    )
  })

  it('shows petals where they came to rest: a crowded row further out than it was aimed', () => {
    const { flower } = view('rose')
    const { layers } = fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips)
    const reach = (show: typeof planView) =>
      Math.max(
        ...show(layers).flatMap((s) =>
          s.kind === 'area'
            ? s.points.flatMap((x, i) => (i % 2 ? [] : [Math.hypot(x, s.points[i + 1]!)]))
            : [],
        ),
      )
    expect(reach(planView)).toBeGreaterThan(reach(aimedView) + 1)
    // every stroke is there, once a colour
    expect(new Set(planView(layers).map((s) => s.stroke)).size).toBe(
      layers.reduce((sum, l) => sum + l.layer.count, 0),
    )
  })
})
