import { readFileSync } from 'node:fs'
import { catalogueFlowers } from '#core/catalogue/flowers/index'
import { starterWorkshop } from '#core/catalogue/starter'
import { orderFileSchema } from '#core/files/orderFile'
import { type Order, orderSchema } from '#core/model/order'
import { newOrder } from '#core/orders/new'
import { planOrder } from '#core/plan/index'
import { schools } from '#core/plan/schools'
import { brokenLayers } from '#core/plan/work/broken'
import { seeded } from '#core/random'
import type { Measured } from './benchmark.ts'

const HEXES = ['#efe6cd', '#f0d890', '#c48ba0', '#8f86b2', '#5e5591', '#7c8a55']
const ORDERS = 20

/** An order of the library's flowers in colours taken at random. */
function randomOrder(seed: number): Order {
  const random = seeded(seed)
  const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
  const colours = HEXES.map((hex, i) => ({ id: `c${i}`, name: `Colour ${i}`, hex }))
  return orderSchema.parse({
    ...newOrder(`r${seed}`, `Random ${seed}`, '2026-12-01T10:00', 'butter-sugar'),
    colours,
    pieces: Array.from({ length: 1 + Math.floor(random() * 4) }, (_, p) => ({
      id: `p${p}`,
      name: `Piece ${p}`,
      count: 1 + Math.floor(random() * 24),
      shape: pick([
        { kind: 'cupcake', diameterMm: 65, domeMm: 8 },
        { kind: 'cake', tiers: [{ diameterMm: 200, heightMm: 100 }], coveredMm: 0 },
      ]),
      coat: { colourId: pick(colours).id, thicknessMm: 2, stiffness: 'medium' },
      flowers: Array.from({ length: 1 + Math.floor(random() * 4) }, (_, f) => {
        const flower = pick(catalogueFlowers)
        return {
          id: `f${f}`,
          flowerId: flower.id,
          placement:
            flower.form === 'border'
              ? { kind: 'border', edge: 'top' }
              : { kind: 'each', perPiece: 1 + (f % 3) },
          colours: Object.fromEntries(flower.roles.map((r) => [r.id, pick(colours).id])),
        }
      }),
    })),
  })
}

/** Layers piped before what they stand on, over every school of mixing of the demo orders and twenty random ones. */
function broken(): number {
  const demo = ['observatory', 'allotment', 'reading-room'].map(
    (name) => orderFileSchema.parse(JSON.parse(readFileSync(`demo/${name}.json`, 'utf8'))).order,
  )
  const orders = [...demo, ...Array.from({ length: ORDERS }, (_, seed) => randomOrder(seed + 1))]
  return orders
    .flatMap((order) =>
      schools(order, starterWorkshop, null).map(({ mixing }) =>
        brokenLayers(planOrder({ ...order, mixing }, starterWorkshop), starterWorkshop),
      ),
    )
    .reduce((sum, layers) => sum + layers.length, 0)
}

export const chainBroken: Measured = {
  id: 'chain-broken',
  what: 'layers that a plan pipes before what they stand on, all schools, 23 orders',
  unit: 'layers',
  against: 'none: the aim is 0',
  measure: broken,
}
