import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Flower } from '../model/flower.ts'
import { slitsMm2 } from '../pile/slits.ts'
import { changeLayer } from './edit.ts'
import { pileChecks } from './pileChecks.ts'
import { fitFlower } from './resolve.ts'

const find = (id: string) => catalogueFlowers.find((f) => f.id === id)!
const checksOf = (flower: Flower) =>
  pileChecks(flower, fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips).layers)

describe('the catalogue', () => {
  it.each(catalogueFlowers.map((f) => [f.id, f] as const))('%s fits together as it is piled', (_, flower) => {
    expect(checksOf(flower).map((c) => c.code)).toEqual([])
  })
})

describe('what hangs in the air', () => {
  const bud = find('rose-bud')
  const dots = find('dot-blossom')
  const raised = (flower: Flower, layerId: string, heightMm: number) =>
    changeLayer(flower, layerId, { heightMm })

  it('is said of strokes that touch nothing, and of no others', () => {
    // a dot aimed high over the table is let down by as much as a hand is off, and no further
    const [said, ...more] = checksOf(raised(dots, 'petals', 12)).filter((c) => c.layerId === 'petals')
    expect(more).toEqual([])
    expect(said).toMatchObject({ code: 'floating', severity: 'decide' })
    expect(said!.message).toContain('“Petals” touches nothing')
    expect(said!.remedy).toMatchObject({ layer: { id: 'petals', part: { heightMm: 11 } } })
    expect(checksOf(raised(dots, 'petals', 2)).map((c) => c.code)).not.toContain('floating')
  })

  it('is said of petals whose foot stands over nothing, and is gone when they are lowered as often as it is offered', () => {
    let flower = changeLayer(bud, 'outer-row-of-3', { ringMm: 9, heightMm: 7 })
    const foot = () =>
      checksOf(flower).find((c) => c.code === 'foot-in-air' && c.layerId === 'outer-row-of-3')
    expect(foot()!.message).toMatch(/“Outer row of 3” has \d+ % of its foot over nothing/)
    let times = 0
    for (let said = foot(); said && times < 8; said = foot(), times++)
      flower = changeLayer(flower, said.layerId!, said.remedy!.layer!.part)
    expect(times).toBeGreaterThan(1)
    expect(foot()).toBeUndefined()
  })
})

describe('slits', () => {
  it('are said where the ground shows with icing all round, not where a flower opens outwards', () => {
    const dots = find('dot-blossom')
    const without = { ...dots, layers: dots.layers.filter((l) => l.id !== 'eye') }
    // five dots in a ring round nothing: the middle is open, as wide as the ring less a dot
    const wider = changeLayer(without, 'petals', { ringMm: 2.62 })
    const [said] = checksOf(wider)
    expect(said).toMatchObject({ code: 'open-slits', layerId: null })
    // moved apart, the ring is no ring any more and nothing is closed in
    expect(checksOf(changeLayer(without, 'petals', { ringMm: 6 }))).toEqual([])
    expect(checksOf(dots)).toEqual([])
    expect(checksOf(find('daisy'))).toEqual([])
  })

  it('are as large as the hole that is left open', () => {
    // a square frame of 10 mm with a hole of 6 by 4, by its two times four flat triangles
    const [outer, inner] = [
      [-5, -5, 5, -5, 5, 5, -5, 5],
      [-3, -2, 3, -2, 3, 2, -3, 2],
    ]
    const positions = Float32Array.from(
      [outer!, inner!].flatMap((of) => [0, 2, 4, 6].flatMap((o) => [of[o]!, of[o + 1]!, 1])),
    )
    const sides = [0, 1, 2, 3].flatMap((k) => {
      const n = (k + 1) % 4
      return [k, n, 4 + k, n, 4 + n, 4 + k]
    })
    expect(slitsMm2({ positions, indices: Uint32Array.from(sides) })).toBeCloseTo(24, 0)
    // one side of the frame left out, and it opens outwards
    expect(slitsMm2({ positions, indices: Uint32Array.from(sides.slice(6)) })).toBe(0)
  })
})

describe('rows that find no room', () => {
  it('are said with the layer and how many find room, and taking so many leaves less inside', () => {
    // rows drawn in to three fifths: a millimetre apart, and thicker than that
    const drawnIn = find('ranunculus').layers.map((l) => ({ ...l, ringMm: 0.6 * l.ringMm }))
    const ranunculus = { ...find('ranunculus'), layers: drawnIn }
    const [said] = checksOf(ranunculus).filter((c) => c.code === 'too-full' && c.layerId !== 'wrap')
    const row = ranunculus.layers.find((l) => l.id === said!.layerId)!
    const share = (message: string) => Number(/lies (\d+) %/.exec(message)![1])
    expect(said).toMatchObject({ code: 'too-full', severity: 'decide' })
    expect(said!.message).toMatch(/it will bulge. Pipe \d instead of \d, or squeeze thinner/)
    expect(said!.remedy!.layer!.part.count).toBeLessThan(row.count)
    const mended = changeLayer(ranunculus, row.id, said!.remedy!.layer!.part)
    const then = checksOf(mended).find((c) => c.layerId === row.id)
    expect(then ? share(then.message) : 0).toBeLessThan(share(said!.message))
  })

  it('are not looked for where nothing stands: lying petals run together at their foot', () => {
    for (const id of ['blossom', 'two-row-blossom', 'camellia', 'dot-blossom'])
      expect(checksOf(find(id)).map((c) => c.code)).not.toContain('too-full')
  })
})
