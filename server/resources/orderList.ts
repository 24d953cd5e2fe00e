import type { EntityManager } from '@mikro-orm/postgresql'
import type { OrderList, OrderListQuery } from '#contract/orders'

interface Row {
  id: string
  title: string
  customer: string
  collectAt: string
  pieces: number
  colours: string[]
  version: number
}

/** A page of orders by due day: one reading of the columns beside the documents. */
export async function listOrders(em: EntityManager, query: OrderListQuery): Promise<OrderList> {
  const conditions = ['deleted_at is null']
  const values: unknown[] = []
  const where = (condition: string, ...given: unknown[]) => {
    conditions.push(condition)
    values.push(...given)
  }
  if (query.from) where('collect_at >= ?', query.from)
  if (query.before) where('collect_at < ?', query.before)
  if (query.search) {
    const part = `%${query.search.replace(/[\\%_]/g, '\\$&')}%`
    where('(title ilike ? or customer ilike ?)', part, part)
  }
  const [counted] = await em.execute<[{ total: number }]>(
    `select count(*)::int as total from orders where ${conditions.join(' and ')}`,
    values,
  )
  const [compare, direction] = query.latestFirst ? ['<', 'desc'] : ['>', 'asc']
  if (query.after) {
    const [collectAt, id] = query.after.split('~')
    where(`(collect_at, id) ${compare} (?, ?)`, collectAt, id)
  }
  const rows = await em.execute<Row[]>(
    `select id, title, customer, collect_at as "collectAt", piece_count as pieces, colours, version
     from orders where ${conditions.join(' and ')}
     order by collect_at ${direction}, id ${direction} limit ?`,
    [...values, query.limit + 1],
  )
  const orders = rows.slice(0, query.limit)
  const last = orders.at(-1)
  return {
    orders,
    total: counted.total,
    next: rows.length > query.limit && last ? `${last.collectAt}~${last.id}` : null,
  }
}
