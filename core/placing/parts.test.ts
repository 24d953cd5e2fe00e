import { describe, expect, it } from 'vitest'
import { arrangeBouquet } from '../bouquet/arrange.ts'
import { chartOf } from '../surfaces/index.ts'
import { shareOut, withMiddle } from './parts.ts'
import { groundFor } from './place.ts'
import { emptyLayout, flower, leaf } from './testing.ts'

const chart = chartOf({
  ...{ kind: 'bouquet', diameterMm: 65, domeMm: 0, standMm: 42, outline: { kind: 'fan' }, vase: null },
  at: arrangeBouquet({ kind: 'fan' }, 12, 65),
})
const kinds = [
  flower('rose', 28, 20),
  flower('peony', 28, 20),
  flower('mid', 15, 9),
  flower('dot', 6, 5),
  leaf('leaf', 24, 9),
]
const shared = (numbers: number[], seed = 3) => {
  const ground = groundFor(chart, kinds, emptyLayout({ schoolId: 'dome' }))
  return shareOut(
    chart,
    ground,
    kinds.map((kind, i) => ({ kind, count: numbers[i]! })),
    [],
    seed,
  )
}
const of = (work: ReturnType<typeof shared>[number], i: number) => work.counts[i]!.count

describe('flowers shared out to the cupcakes of a bouquet', () => {
  it('are all there, leaves aside: these are tucked under them afterwards', () => {
    const works = shared([5, 4, 9, 12, 20])
    expect(works).toHaveLength(12)
    expect([0, 1, 2, 3, 4].map((i) => works.reduce((sum, w) => sum + of(w, i), 0))).toEqual([5, 4, 9, 12, 0])
  })

  it('are one large one to a cupcake, with nothing beside it', () => {
    for (const seed of [1, 2, 3, 4, 5]) {
      const works = shared([5, 4, 9, 0, 0], seed)
      for (const w of works) {
        const large = of(w, 0) + of(w, 1)
        expect(large).toBeLessThanOrEqual(1)
        if (large === 1) expect(of(w, 2)).toBe(0)
      }
    }
  })

  it('of a middle size come three of a kind together', () => {
    const works = shared([5, 4, 9, 0, 0])
    expect(works.map((w) => of(w, 2)).filter((n) => n > 0)).toEqual([3, 3, 3])
  })

  it('stand apart from their own kind where there is another', () => {
    const works = shared([6, 6, 0, 0, 0])
    const middle = (w: (typeof works)[number]) => w.chart.parts[0]!
    const pairs = works.flatMap((a, i) =>
      works.slice(i + 1).filter((b) => {
        const [p, q] = [middle(a), middle(b)]
        return Math.hypot(p.x - q.x, p.y - q.y) < 70 && of(a, 0) === of(b, 0)
      }),
    )
    const neighbours = works.flatMap((a, i) =>
      works.slice(i + 1).filter((b) => Math.hypot(middle(a).x - middle(b).x, middle(a).y - middle(b).y) < 70),
    )
    // laid out by chance half of all neighbours would be alike
    expect(pairs.length / neighbours.length).toBeLessThan(0.42)
  })

  it('are the same for the same seed, others for another', () => {
    const counts = (seed: number) => shared([5, 4, 9, 12, 0], seed).map((w) => w.counts.map((c) => c.count))
    expect(counts(3)).toEqual(counts(3))
    expect(counts(4)).not.toEqual(counts(3))
  })

  it('stand in the middle where they are alone and large, wherever there is room for others not', () => {
    const works = shared([9, 0, 9, 0, 0])
    const alone = works.find((w) => of(w, 0) === 1)!
    const [start] = withMiddle(alone).ground.area.starts
    const p = chart.point(start!)
    const middle = alone.chart.parts[0]!
    expect(Math.hypot(p.x - middle.x, p.y - middle.y)).toBeLessThan(1e-6)
    expect(withMiddle(alone).ground.area.held).toBe(1)
    const three = works.find((w) => of(w, 2) === 3)!
    expect(withMiddle(three)).toBe(three)
  })
})
