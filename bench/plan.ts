import { readFileSync } from 'node:fs'
import { starterWorkshop } from '#core/catalogue/starter'
import { readBakeryFile, withBakery } from '#core/files/bakeryFile'
import { orderFileSchema } from '#core/files/orderFile'
import type { Order } from '#core/model/order'
import { planOrder } from '#core/plan/index'
import type { Benchmark } from './benchmark.ts'

const load = (name: string) => JSON.parse(readFileSync(new URL(`../demo/${name}`, import.meta.url), 'utf8'))

const bakery = readBakeryFile(load('bakery.json'), starterWorkshop)
if (!bakery.ok) throw new Error('The demo bakery does not read.')
export const workshop = withBakery(starterWorkshop, bakery.value)
export const demo = orderFileSchema.parse(load('observatory.json'))

/** The demo order `times` over: so many times the pieces, each with its own flowers. */
function enlarged(times: number): Order {
  return {
    ...demo.order,
    pieces: Array.from({ length: times }, (_, k) =>
      demo.order.pieces.map((p) => ({ ...p, id: `${p.id}-${k}` })),
    ).flat(),
  }
}

function planning(id: string, what: string, order: Order): Benchmark {
  const text = JSON.stringify({ ...demo, order })
  return {
    id,
    what,
    unit: 'ms',
    against: 'parsing and validating the same order',
    run: () => void planOrder(order, workshop),
    baseline: () => void orderFileSchema.parse(JSON.parse(text)),
  }
}

export const planBenchmarks = [
  planning('plan-demo', 'plan of the demo order', demo.order),
  planning('plan-20x', 'plan of an order 20 times its size', enlarged(20)),
]
