import { randomUUID } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { benchEndpoints as endpoints, MOST_EVENTS, type RunSummary } from '#contract/bench'
import type { BenchEvent, Frozen } from '#core/model/bench'
import type { AppContext } from '../appContext.ts'
import { changedMeanwhile, notFound, ProblemError } from '../http/problems.ts'
import { inTime, route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { benchStream } from './benchStream.ts'
import { findText } from './orderRows.ts'

interface RunColumns {
  id: string
  order_id: string
  title: string
  begun_at: Date | string
  version: number
}

const SUMMARY = `select r.id, r.order_id, r.begun_at, r.version, o.title from runs r join orders o on o.id = r.order_id`

/** Orders being worked: frozen when work begins, and what the tablets at the bench note. */
export function benchRoutes(context: AppContext): Router {
  const { orm, plans } = context
  const router = Router()

  /** The order's plan as it is now, frozen; planned on a thread of its own. */
  const frozenNow = async (em: EntityManager, orderId: string): Promise<string> => {
    const { title: _, version: __, ...task } = await inTime(findText(em, orderId))
    const { shared } = await inTime(currentWorkshop(em))
    return new TextDecoder().decode(await plans.frozen({ ...task, workshop: shared }))
  }
  const planVersionOf = (frozen: string) => (JSON.parse(frozen) as Frozen).plan.schemaVersion
  // planning has limits of its own
  const ownTime = { transaction: false, deadlineMs: null }

  route(router, orm, endpoints.running, async ({ em }) => {
    const rows = await em.execute<RunColumns[]>(
      `${SUMMARY} where o.deleted_at is null order by r.begun_at desc, r.id`,
    )
    return rows.map(toSummary)
  })

  route(
    router,
    orm,
    endpoints.begin,
    async ({ em, param }) => {
      const orderId = param('id')
      const known = await inTime(summaryWhere(em, 'r.order_id = ?', orderId))
      if (known) return known
      const frozen = await frozenNow(em, orderId)
      // two who begin at the same moment begin the same run
      await inTime(
        em.execute(
          `insert into runs (id, order_id, frozen, plan_version, begun_at) values (?, ?, ?::jsonb, ?, now())
           on conflict (order_id) do nothing`,
          [randomUUID(), orderId, frozen, planVersionOf(frozen)],
        ),
      )
      return (await inTime(summaryWhere(em, 'r.order_id = ?', orderId)))!
    },
    ownTime,
  )

  route(router, orm, endpoints.read, async ({ em, param, res }) => {
    const summary = await mustRun(em, param('id'))
    const [row] = await em.execute<[{ frozen: string }]>(
      'select frozen::text as frozen from runs where id = ?',
      [summary.id],
    )
    // it was checked when it was made, and texts need not be taken apart to be sent
    const head = JSON.stringify(summary).slice(0, -1)
    res.setHeader('ETag', `"${summary.version}"`).type('json').send(`${head},"frozen":${row.frozen}}`)
    return undefined as never
  })

  route(
    router,
    orm,
    endpoints.renew,
    async ({ em, param, version }) => {
      const { id, orderId } = await inTime(mustRun(em, param('id')))
      const frozen = await frozenNow(em, orderId)
      const changed = await inTime(
        em.execute(
          `update runs set frozen = ?::jsonb, plan_version = ?, version = version + 1
           where id = ? and version = ? returning version`,
          [frozen, planVersionOf(frozen), id, version],
        ),
      )
      if (changed.length === 0) throw changedMeanwhile()
      return { version: version + 1 }
    },
    ownTime,
  )

  route(router, orm, endpoints.remove, async ({ em, param }) => {
    const { id } = await mustRun(em, param('id'))
    await em.execute('select 1 from runs where id = ? for update', [id])
    const [{ noted }] = await em.execute<[{ noted: number }]>(
      'select count(*)::int as noted from bench_events where run_id = ?',
      [id],
    )
    if (noted > 0)
      throw new ProblemError(
        409,
        'already-worked',
        'Work has begun',
        'Something has been noted at the bench already. It is kept; take the new plan in instead.',
      )
    await em.execute('delete from runs where id = ?', [id])
    return undefined
  })

  route(router, orm, endpoints.heard, async ({ em, param, query }) => {
    const { id, version } = await mustRun(em, param('id'))
    const rows = await em.execute<{ number: string | number; event: BenchEvent }[]>(
      'select number, event from bench_events where run_id = ? and number > ? order by number limit ?',
      [id, query.after, MOST_EVENTS + 1],
    )
    const here = rows.slice(0, MOST_EVENTS)
    return {
      events: here.map((r) => r.event),
      last: Number(here.at(-1)?.number ?? query.after),
      runVersion: version,
      more: rows.length > MOST_EVENTS,
    }
  })

  route(router, orm, endpoints.note, async ({ em, param, body }) => {
    const { id } = await mustRun(em, param('id'))
    // one after the other within a run: nobody who has heard a number must miss a lower one that comes later
    await em.execute('select 1 from runs where id = ? for update', [id])
    await em.execute(
      `insert into bench_events (id, run_id, event, heard_at)
       select e ->> 'id', ?, e, now() from jsonb_array_elements(?::jsonb) with ordinality as t(e, n) order by n
       on conflict (id) do nothing`,
      [id, JSON.stringify(body.events)],
    )
    return undefined
  })

  benchStream(router, context)
  return router
}

async function summaryWhere(em: EntityManager, where: string, value: string): Promise<RunSummary | null> {
  const [row] = await em.execute<RunColumns[]>(`${SUMMARY} where ${where}`, [value])
  return row ? toSummary(row) : null
}

async function mustRun(em: EntityManager, id: string): Promise<RunSummary> {
  const run = await summaryWhere(em, 'r.id = ?', id)
  if (!run) throw notFound('run', id)
  return run
}

function toSummary(row: RunColumns): RunSummary {
  const { id, title, version } = row
  return { id, orderId: row.order_id, title, begunAt: new Date(row.begun_at).toISOString(), version }
}
