import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { starterWorkshop } from '../catalogue/starter.ts'
import { fitFlower } from '../flowers/resolve.ts'
import type { Flower } from '../model/flower.ts'
import { readFlowerFile, writeFlowerFile } from './flowerFile.ts'

const measured = (flower: Flower) =>
  fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips).measure
const catalogue = (id: string) => starterWorkshop.flowers.find((f) => f.id === id)!
/** As it was written before strokes could be set elsewhere than on a ring. */
const sample = (): unknown =>
  JSON.parse(readFileSync(new URL('samples/flower-of-rings.kanten-flower.json', import.meta.url), 'utf8'))

it('a file from before there were other places opens, on rings, and weighs and measures what it did', () => {
  const read = readFlowerFile(sample(), starterWorkshop)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  const { flower } = read.value
  expect(flower.florets).toEqual([])
  for (const layer of flower.layers) expect(layer).toMatchObject({ at: { kind: 'ring' }, floretId: null })
  const { volumeMm3, seconds, alongMm, acrossMm } = measured(flower)
  // as that program told it
  expect([volumeMm3, seconds, alongMm, acrossMm].map((v) => Number(v.toPrecision(4)))).toEqual([
    2692, 40.74, 39.84, 38.53,
  ])
})

it.each(['hydrangea', 'fern', 'leafy-sprig', 'reverse-shell-border'])(
  '%s goes out and comes back the same, places and all',
  (id) => {
    const flower = { ...catalogue(id), id: `own-${id}`, source: 'own' as const }
    const read = readFlowerFile(
      JSON.parse(JSON.stringify(writeFlowerFile(flower, starterWorkshop))),
      starterWorkshop,
    )
    expect(read).toMatchObject({ ok: true, value: { flower } })
  },
)

it('a place that is not known, or set on what is not there, is refused with its field', () => {
  const file = writeFlowerFile(catalogue('fern'), starterWorkshop)
  const spoiled = (at: object) => ({
    ...file,
    flower: { ...file.flower, layers: file.flower.layers.map((l, i) => (i === 1 ? { ...l, at } : l)) },
  })
  const paths = (data: unknown) => {
    const read = readFlowerFile(data, starterWorkshop)
    return read.ok ? [] : read.faults.map((f) => f.path.join('.'))
  }
  expect(paths(spoiled({ kind: 'spiral' }))).toEqual(['flower.layers.1.at.kind'])
  expect(paths(spoiled({ kind: 'line', lengthMm: 900 }))).toEqual(['flower.layers.1.at.lengthMm'])
  expect(paths(spoiled({ kind: 'layer', layerId: 'nowhere' }))).toEqual(['flower.layers.1.at.layerId'])
})
