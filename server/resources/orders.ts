import { randomUUID } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { orderEndpoints } from '#contract/orders'
import { writeOrderFile } from '#core/files/orderFile'
import { copyName } from '#core/model/names'
import type { Order } from '#core/model/order'
import { newOrder } from '#core/orders/new'
import type { AppContext } from '../appContext.ts'
import { OrderRow } from '../entities/order.ts'
import { type TableName, tableNames } from '../exports/tables.ts'
import { changedMeanwhile, notFound, ProblemError } from '../http/problems.ts'
import { inTime, route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { restoreOrder } from './deleted.ts'
import { importOrder } from './importOrder.ts'
import { orderOf } from './orderBody.ts'
import { listOrders } from './orderList.ts'
import {
  findOrder,
  findText,
  insertOrder,
  mustBeThere,
  replaceOrder,
  toOrder,
  toStored,
} from './orderRows.ts'
import { sameId } from './rules.ts'

/** Orders: list, edit whole, copy, delete and restore, files, plan. */
export function orderRoutes({ orm, plans }: AppContext): Router {
  const router = Router()

  route(router, orm, orderEndpoints.list, ({ em, query }) => listOrders(em, query))

  route(router, orm, orderEndpoints.create, async ({ em, body }) => {
    const { workshop } = await currentWorkshop(em)
    return insertOrder(em, newOrder(randomUUID(), body.title, body.collectAt, workshop.icings[0]!.id))
  })

  // before /orders/:id, which would take "import" for an id
  route(router, orm, orderEndpoints.importFile, ({ em, body }) => importOrder(em, body))

  route(router, orm, orderEndpoints.read, async ({ em, param, res }) => {
    const { document, checked, version } = await findText(em, param('id'))
    if (!checked) return toStored(await findOrder(em, param('id')))
    res.setHeader('ETag', `"${version}"`).type('json').send(`{"order":${document},"version":${version}}`)
    return undefined as never
  })

  route(
    router,
    orm,
    orderEndpoints.replace,
    async ({ em, param, version, req }) => {
      const order = await orderOf(req, await currentWorkshop(em))
      sameId(param('id'), order.id)
      if (!(await replaceOrder(em, order, version))) {
        await mustBeThere(em, order.id)
        throw changedMeanwhile()
      }
      return { version: version + 1 }
    },
    // one statement, and large orders are taken apart on another thread
    { transaction: false, readsBody: true },
  )

  route(router, orm, orderEndpoints.remove, async ({ em, param }) => {
    const id = param('id')
    const deleted = await em.nativeUpdate(OrderRow, { id, deletedAt: null }, { deletedAt: new Date() })
    if (deleted === 0) throw notFound('order', id)
    return undefined
  })

  route(router, orm, orderEndpoints.restore, async ({ em, param }) => {
    await restoreOrder(em, param('id'))
    return toStored(await findOrder(em, param('id')))
  })

  route(router, orm, orderEndpoints.duplicate, async ({ em, param }) => {
    const order = toOrder(await findOrder(em, param('id')))
    const titles = await em.find(
      OrderRow,
      { deletedAt: null, title: { $like: '%(copy)%' } },
      { fields: ['title'] },
    )
    const title = copyName(order.title, 'copy', [order.title, ...titles.map((row) => row.title)])
    return insertOrder(em, { ...order, id: randomUUID(), title })
  })

  route(router, orm, orderEndpoints.exportFile, async ({ em, param, res }) => {
    const order = toOrder(await findOrder(em, param('id')))
    const { workshop } = await currentWorkshop(em)
    res.attachment(`${fileName(order.title)}.json`)
    return writeOrderFile(order, workshop)
  })

  /** What a plan is made of, as text: it is taken apart on the thread that plans. */
  const toPlan = async (em: EntityManager, id: string) => {
    const row = await findText(em, id)
    const { shared } = await currentWorkshop(em)
    return { ...row, workshop: shared }
  }
  // planning has limits of its own: one that is slow is not a database that is away
  const ownTime = { deadlineMs: null }

  route(
    router,
    orm,
    orderEndpoints.plan,
    async ({ em, param, res }) => {
      const { title: _, version: __, ...task } = await inTime(toPlan(em, param('id')))
      res.type('json').end(await plans.plan(task))
      return undefined as never
    },
    ownTime,
  )

  route(
    router,
    orm,
    orderEndpoints.table,
    async ({ em, param, res }) => {
      const table = param('table')
      if (!isTable(table))
        throw new ProblemError(404, 'not-found', 'No such table', `Tables are: ${tableNames.join(', ')}.`)
      const { title, version: _, ...task } = await inTime(toPlan(em, param('id')))
      const csv = await plans.table({ ...task, table })
      res
        .attachment(`${fileName(title)}-${table}.csv`)
        .type('text/csv')
        .end(csv)
      return undefined
    },
    ownTime,
  )

  route(
    router,
    orm,
    orderEndpoints.calendar,
    async ({ em, param, res }) => {
      const { title, version: _, ...task } = await inTime(toPlan(em, param('id')))
      const file = await plans.calendar(task)
      res
        .attachment(`${fileName(title)}.ics`)
        .type('text/calendar')
        .end(file)
      return undefined
    },
    ownTime,
  )

  return router
}

const isTable = (name: string): name is TableName => (tableNames as readonly string[]).includes(name)

/** A title as a file name that every system takes. */
export function fileName(title: Order['title']): string {
  const plain = title
    .normalize('NFKD')
    // an accent comes apart from its letter, and is left out
    .replace(/\p{M}/gu, '')
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase()
  return plain || 'order'
}
