import { describe, expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { planView } from './planView.ts'
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
})
