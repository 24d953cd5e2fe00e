import { randomUUID } from 'node:crypto'
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { orderEndpoints } from '#contract/orders'
import { writeOrderFile } from '#core/files/orderFile'
import { orderFaults } from '#core/model/faults'
import type { Order } from '#core/model/order'
import { newOrder } from '#core/orders/new'
import { planOrder } from '#core/plan/index'
import { OrderRow } from '../entities/order.ts'
import { tables, toCsv } from '../exports/tables.ts'
import { invalid, notFound, ProblemError } from '../problems.ts'
import { route } from '../route.ts'
import { importOrder } from './importOrder.ts'
import { findOrder, insertOrder, toOrder, toStored, toSummary, updateOrder } from './orderRows.ts'
import { sameVersion } from './versions.ts'
import { loadWorkshop } from './workshopRows.ts'

/** Orders: list, edit whole, copy, delete and restore, files, plan. */
export function orderRoutes(orm: MikroORM): Router {
  const router = Router()

  route(router, orm, orderEndpoints.list, async ({ em }) => {
    const rows = await em.find(
      OrderRow,
      { deletedAt: null },
      { populate: ['pieces'], orderBy: { collectAt: 'asc', id: 'asc' } },
    )
    return rows.map(toSummary)
  })

  route(router, orm, orderEndpoints.create, async ({ em, body }) => {
    const { workshop } = await loadWorkshop(em)
    return store(em, newOrder(randomUUID(), body.title, body.collectAt, workshop.icings[0]!.id))
  })

  // before /orders/:id, which would take "import" for an id
  route(router, orm, orderEndpoints.importFile, ({ em, req }) => importOrder(em, req.body))

  route(router, orm, orderEndpoints.read, async ({ em, param }) => toStored(await findOrder(em, param('id'))))

  route(router, orm, orderEndpoints.replace, async ({ em, param, body, version }) => {
    const row = await findOrder(em, param('id'))
    sameVersion(row, version)
    if (body.id !== row.id)
      throw invalid([{ path: ['id'], message: `The address says "${row.id}", the order "${body.id}".` }])
    const { workshop } = await loadWorkshop(em)
    const faults = orderFaults(body, workshop)
    if (faults.length > 0) throw invalid(faults)
    updateOrder(em, row, body)
    await em.flush()
    return toStored(row)
  })

  route(router, orm, orderEndpoints.remove, async ({ em, param }) => {
    const row = await findOrder(em, param('id'))
    row.deletedAt = new Date()
    return undefined
  })

  route(router, orm, orderEndpoints.restore, async ({ em, param }) => {
    const row = await em.findOne(OrderRow, { id: param('id') }, { populate: ['pieces'] })
    if (!row) throw notFound('order', param('id'))
    row.deletedAt = null
    await em.flush()
    return toStored(row)
  })

  route(router, orm, orderEndpoints.duplicate, async ({ em, param }) => {
    const order = toOrder(await findOrder(em, param('id')))
    return store(em, { ...order, id: randomUUID(), title: `${order.title} (copy)`.slice(0, 80) })
  })

  route(router, orm, orderEndpoints.exportFile, async ({ em, param, res }) => {
    const order = toOrder(await findOrder(em, param('id')))
    const { workshop } = await loadWorkshop(em)
    res.attachment(`${fileName(order.title)}.json`)
    return writeOrderFile(order, workshop)
  })

  route(router, orm, orderEndpoints.plan, async ({ em, param }) => {
    const order = toOrder(await findOrder(em, param('id')))
    return planOrder(order, (await loadWorkshop(em)).workshop)
  })

  route(router, orm, orderEndpoints.table, async ({ em, param, res }) => {
    const table = tables[param('table')]
    if (!table) throw new ProblemError(404, 'No such table', `Tables are: ${Object.keys(tables).join(', ')}.`)
    const order = toOrder(await findOrder(em, param('id')))
    const { workshop } = await loadWorkshop(em)
    const rows = table(planOrder(order, workshop), order, workshop)
    res
      .attachment(`${fileName(order.title)}-${param('table')}.csv`)
      .type('text/csv')
      .send(toCsv(rows))
    return undefined
  })

  return router
}

async function store(em: EntityManager, order: Order) {
  const row = insertOrder(em, order)
  await em.flush()
  return toStored(row)
}

/** A title as a file name that every system takes. */
function fileName(title: string): string {
  const plain = title
    .normalize('NFKD')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase()
  return plain || 'order'
}
