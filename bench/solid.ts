import { CatmullRomCurve3, TubeGeometry, Vector3 } from 'three'
import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { measureLayers } from '#core/flowers/measure'
import { pileLayers } from '#core/flowers/piled'
import { fitFlower } from '#core/flowers/resolve'
import { bake } from '#core/mesh/bake'
import { drawPiles, flowerMesh } from '#core/mesh/flowerMesh'
import { pile } from '#core/pile/pile'
import type { Benchmark } from './benchmark.ts'

const own = { sizeMm: null, tips: {} }
const fitted = (flower: (typeof catalogueFlowers)[number]) => fitFlower(flower, own, starterWorkshop.tips)
const library = catalogueFlowers.map(fitted)
const rose = fitted(catalogueFlowers.find((f) => f.id === 'rose')!)
const roseFine = flowerMesh(rose.layers, 1, 1)

const piles = library.map(({ layers }) => {
  const piled = pileLayers(layers)
  return { piled, strokes: pile(piled, 1) }
})
const meshLibrary = () => piles.map(({ piled, strokes }) => drawPiles(piled, [strokes], 1))
const triangles = meshLibrary().reduce((sum, m) => sum + m.indices.length / 3, 0)

/** Tubes of three.js with as many triangles as the whole library: the same kind of work, without petals. */
function tubes(): void {
  const curve = new CatmullRomCurve3(
    Array.from({ length: 8 }, (_, i) => new Vector3(Math.cos(i) * 10, Math.sin(i) * 10, i)),
  )
  const [along, around] = [220, 16]
  for (let made = 0; made < triangles; made += 2 * along * around) new TubeGeometry(curve, along, 2, around)
}

const nothing = () => {
  flowerMesh(rose.layers, 1, 0.35)
}

export const solidBenchmarks: Benchmark[] = [
  {
    id: 'mesh-vs-tube',
    what: `meshing the library's flowers as they are piled (${Math.round(triangles / 1000)} thousand triangles)`,
    unit: 'ms',
    against: "three.js's TubeGeometry at the same count",
    run: () => void meshLibrary(),
    baseline: tubes,
  },
  {
    id: 'bake-rose',
    what: 'light for a fine rose',
    unit: 'ms',
    against: 'meshing a coarse rose',
    run: () => void bake(roseFine, { directions: 40, cells: 120 }),
    baseline: nothing,
  },
  {
    id: 'rose-coarse',
    what: 'recipe to coarse rose with light',
    unit: 'ms',
    against: 'meshing a coarse rose',
    run: () => void bake(flowerMesh(rose.layers, 1, 0.35), { directions: 20, cells: 72 }),
    baseline: nothing,
  },
  {
    id: 'library-volume',
    what: 'grams of every library flower without meshing',
    unit: 'ms',
    against: 'meshing a coarse rose',
    run: () => {
      catalogueFlowers.forEach((flower, i) => {
        measureLayers(flower, library[i]!.layers)
      })
    },
    baseline: nothing,
  },
]
