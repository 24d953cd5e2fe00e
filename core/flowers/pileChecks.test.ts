import { describe, expect, it } from 'vitest'
import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import { starterWorkshop } from '../catalogue/starter.ts'
import type { Flower } from '../model/flower.ts'
import { changeLayer } from './edit.ts'
import { pileChecks } from './pileChecks.ts'
import { fitFlower } from './resolve.ts'

const find = (id: string) => catalogueFlowers.find((f) => f.id === id)!
const checksOf = (flower: Flower) =>
  pileChecks(fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips).layers)

/** Catalogue flowers whose rows are meant to be pressed together, and by how much at the most. */
const CROWDED = ['ranunculus', 'peony', 'cabbage-bloom']

describe('rows that find no room', () => {
  it('are none in the catalogue but those that are meant to be crowded', () => {
    const full = catalogueFlowers.filter((f) => checksOf(f).length > 0).map((f) => f.id)
    expect(full.filter((id) => !CROWDED.includes(id))).toEqual([])
  })

  it('are said with the layer and how many find room, and taking so many leaves less inside', () => {
    const ranunculus = find('ranunculus')
    const [said] = checksOf(ranunculus).filter((c) => c.layerId !== 'wrap')
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
      expect(checksOf(find(id))).toEqual([])
  })
})
