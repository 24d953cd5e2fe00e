import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { fitFlower } from '#core/flowers/resolve'
import { bake } from '#core/mesh/bake'
import { flowerMesh } from '#core/mesh/flowerMesh'
import { moveTo } from '#core/placing/byHand'
import { wrongWith } from '#core/placing/checker/testing'
import { placed } from '#core/placing/place'
import { standOf } from '#core/placing/stands'
import { counting, emptyLayout, mixFor, pieces, seededLayouts } from '#core/placing/testing'
import { chartOf, type Surface } from '#core/surfaces/index'
import { type Benchmark, medianMs } from './benchmark.ts'

const sheet: Surface = { kind: 'sheet', lengthMm: 420, widthMm: 300, heightMm: 60 }
const chart = chartOf(sheet)
const kinds = mixFor(300)
/** 150 things over a whole sheet: 112 flowers and 38 leaves. */
const numbers = new Map([
  ['large', 9],
  ['second', 20],
  ['third', 33],
  ['small', 50],
  ['leaf', 38],
])
const lay = (seed: number, improved: boolean) =>
  placed(
    { chart, kinds, numbers, layout: emptyLayout({ fullness: null, seed }), newId: counting() },
    improved,
  )
const SEEDS = 5

/** How long placing takes, and whether what it makes stands clear. */
export const placingBenchmarks: Benchmark[] = [
  {
    id: 'layout-first-150',
    what: 'a first layout of 150 things on a sheet cake, warm',
    unit: 'milliseconds',
    against: 'none: the aim is 150',
    measure: () => {
      lay(1, false)
      let seed = 2
      return medianMs(() => void lay(seed++, false), 7)
    },
  },
  {
    id: 'layout-improve-150',
    what: 'the same, improved',
    unit: 'milliseconds',
    against: 'none: the aim is 1,500',
    measure: () => {
      lay(1, true)
      let seed = 2
      return medianMs(() => void lay(seed++, true), 3)
    },
  },
  {
    id: 'layout-drag',
    what: '95th percentile of a frame in which one of 150 is dragged across the sheet, its neighbours giving way',
    unit: 'milliseconds',
    against: 'none: the aim is 8',
    measure: () => {
      const layout = lay(1, false)
      const hand = { chart, kinds, layout }
      const { id } = layout.sites.find((s) => s.placedId === 'second')!
      const frame = (i: number) => {
        const spot = chart.nearest(-150 + i * 2, 60 * Math.sin(i / 12), 60)
        const begun = performance.now()
        moveTo(hand, new Set([id]), id, spot)
        return performance.now() - begun
      }
      for (let i = 0; i < 60; i++) frame(i)
      const all = Array.from({ length: 150 }, (_, i) => frame(i)).sort((a, b) => a - b)
      return all[Math.floor(0.95 * all.length)]!
    },
  },
  {
    id: 'layout-clashes',
    what: 'faults that an independent checker finds in 300 seeded, improved layouts of all schools on all pieces',
    unit: 'faults',
    against: 'none: the aim is 0',
    measure: () => {
      let wrong = 0
      let layouts = 0
      for (const laid of seededLayouts(pieces, SEEDS, true)) {
        const found = wrongWith(laid)
        for (const line of found.slice(0, 2)) console.error(line)
        wrong += found.length
        layouts += 1
      }
      if (layouts < 300) throw new Error(`Only ${layouts} layouts were made.`)
      return wrong
    },
  },
  {
    id: 'cake-solid',
    what: 'from nothing to all meshes of a first coarse picture of a cake with 60 flowers of six kinds',
    unit: 'milliseconds',
    against: 'none: the aim is 600',
    measure: () => {
      const cake = chartOf({
        kind: 'cake',
        tiers: [
          { diameterMm: 220, heightMm: 100 },
          { diameterMm: 150, heightMm: 100 },
        ],
        coveredMm: 0,
      })
      const six = ['rose', 'dahlia', 'anemone', 'hellebore', 'blossom', 'leaf'].map((id) => {
        const flower = catalogueFlowers.find((f) => f.id === id)!
        return fitFlower(flower, { sizeMm: null, tips: {} }, starterWorkshop.tips).layers
      })
      const mix = mixFor(150)
      const { sites } = placed(
        {
          ...{ chart: cake, kinds: mix, layout: emptyLayout({ schoolId: 'fall', fullness: null }) },
          numbers: new Map(mix.map((k) => [k.placedId, 12])),
          newId: counting(),
        },
        false,
      )
      const begun = performance.now()
      for (const layers of six) bake(flowerMesh(layers, 1, 0.35), { directions: 20, cells: 72 })
      cake.skin()
      for (const site of sites) standOf(cake, { middleX: 0, middleY: 0 }, site)
      return performance.now() - begun
    },
  },
]
