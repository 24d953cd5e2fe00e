import { randomUUID } from 'node:crypto'
import type { EntityManager } from '@mikro-orm/postgresql'
import express, { Router } from 'express'
import { logEndpoints as endpoints, MOST_PHOTOGRAPH_BYTES, MOST_PHOTOGRAPHS } from '#contract/log'
import { asPlanned } from '#core/bench/wrapUp'
import { found } from '#core/logbook/summary'
import type { Frozen } from '#core/model/bench'
import type { LogEntry } from '#core/model/logEntry'
import type { AppContext } from '../appContext.ts'
import { changedMeanwhile, notFound, ProblemError } from '../http/problems.ts'
import { inTime, route } from '../http/route.ts'
import { photographType } from '../photographs/check.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { findText } from './orderRows.ts'
import { sameId } from './rules.ts'

/** What is changed within so many minutes is one change: fields save by themselves, a letter at a time. */
const ONE_CHANGE_MINUTES = 10

/** Keeps what an entry is now, before it is changed or deleted. @returns whether there is one. */
async function keepBefore(em: EntityManager, id: string, deleted: boolean): Promise<boolean> {
  const kept = await em.execute<{ id: string }[]>(
    `insert into log_history (entry_id, entry, until_at, deleted)
     select id, entry, now(), ? from log_entries l where id = ? and (? or not exists (
       select 1 from log_history h where h.entry_id = l.id and not h.deleted
         and h.until_at > now() - interval '${ONE_CHANGE_MINUTES} minutes'
     )) returning id`,
    [deleted, id, deleted],
  )
  return kept.length > 0
}

/** The logbook: orders as they were made, with photographs of what came out. */
export function logRoutes({ orm, plans }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.read, async ({ em, param }) => {
    const [row] = await em.execute<{ entry: LogEntry; version: number }[]>(
      'select entry, version from log_entries where id = ?',
      [param('id')],
    )
    if (!row) throw notFound('entry of the logbook', param('id'))
    return row
  })

  route(router, orm, endpoints.write, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    if (version !== 0) await keepBefore(em, body.id, false)
    const rows =
      version === 0
        ? await em.execute<{ version: number }[]>(
            'insert into log_entries (id, entry) values (?, ?::jsonb) on conflict (id) do nothing returning version',
            [body.id, JSON.stringify(body)],
          )
        : await em.execute<{ version: number }[]>(
            'update log_entries set entry = ?::jsonb, version = version + 1 where id = ? and version = ? returning version',
            [JSON.stringify(body), body.id, version],
          )
    const [row] = rows
    if (!row) throw changedMeanwhile()
    return { entry: body, version: row.version }
  })

  route(router, orm, endpoints.list, async ({ em, query }) => {
    const rows = await em.execute<{ entry: LogEntry; version: number }[]>(
      'select entry, version from log_entries',
    )
    const versions = new Map(rows.map((r) => [r.entry.id, r.version]))
    return found(
      rows.map((r) => r.entry),
      query.search ?? '',
    ).map((entry) => ({ entry, version: versions.get(entry.id)! }))
  })

  route(
    router,
    orm,
    endpoints.begin,
    async ({ em, param }) => {
      const orderId = param('id')
      const { title: _, version: __, ...task } = await inTime(findText(em, orderId))
      const { shared } = await inTime(currentWorkshop(em))
      const frozen = JSON.parse(
        new TextDecoder().decode(await plans.frozen({ ...task, workshop: shared })),
      ) as Frozen
      const entry = asPlanned({ id: randomUUID(), orderId, frozen }, frozen.order.collectAt)
      await inTime(
        em.execute('insert into log_entries (id, entry) values (?, ?::jsonb)', [
          entry.id,
          JSON.stringify(entry),
        ]),
      )
      return { entry, version: 1 }
    },
    // planning has limits of its own
    { transaction: false, deadlineMs: null },
  )

  route(router, orm, endpoints.takeIn, async ({ em, body }) => {
    const added = await em.execute<{ id: string }[]>(
      `insert into log_entries (id, entry) select e ->> 'id', e from jsonb_array_elements(?::jsonb) as e
       on conflict (id) do nothing returning id`,
      [JSON.stringify(body.entries)],
    )
    return { added: added.length, known: body.entries.length - added.length }
  })

  route(router, orm, endpoints.history, async ({ em, param }) => {
    const rows = await em.execute<{ entry: LogEntry; until_at: Date | string; deleted: boolean }[]>(
      'select entry, until_at, deleted from log_history where entry_id = ? order by id desc',
      [param('id')],
    )
    return rows.map((r) => ({
      entry: r.entry,
      until: new Date(r.until_at).toISOString(),
      deleted: r.deleted,
    }))
  })

  route(router, orm, endpoints.remove, async ({ em, param }) => {
    if (!(await keepBefore(em, param('id'), true))) throw notFound('entry of the logbook', param('id'))
    await em.execute('delete from log_entries where id = ?', [param('id')])
    return undefined
  })

  route(router, orm, endpoints.photographs, async ({ em, param }) => {
    const rows = await em.execute<{ id: string; added_at: Date | string }[]>(
      'select id, added_at from photographs where entry_id = ? order by added_at, id',
      [param('id')],
    )
    return rows.map((r) => ({ id: r.id, addedAt: new Date(r.added_at).toISOString() }))
  })

  // a little more than is kept, so that what is too large is told in words
  router.post(
    endpoints.photograph.path,
    express.raw({ type: 'application/octet-stream', limit: 4 * MOST_PHOTOGRAPH_BYTES }),
  )
  route(router, orm, endpoints.photograph, async ({ em, param, req }) => {
    const bytes: unknown = req.body
    if (!Buffer.isBuffer(bytes))
      throw new ProblemError(415, 'no-photograph', 'Not a photograph', 'Send it as application/octet-stream.')
    const type = await photographType(bytes)
    const [{ there }] = await em.execute<[{ there: number }]>(
      'select count(*)::int as there from photographs where entry_id = ?',
      [param('id')],
    )
    if (there >= MOST_PHOTOGRAPHS)
      throw new ProblemError(
        422,
        'too-many',
        'Enough photographs',
        `At most ${MOST_PHOTOGRAPHS} of an order are kept. Delete one first.`,
      )
    const photograph = { id: randomUUID(), addedAt: new Date().toISOString() }
    await em.execute('insert into photographs (id, entry_id, type, image, added_at) values (?, ?, ?, ?, ?)', [
      photograph.id,
      param('id'),
      type,
      bytes,
      photograph.addedAt,
    ])
    return photograph
  })

  route(router, orm, endpoints.image, async ({ em, param, res }) => {
    const [row] = await em.execute<{ type: string; image: Buffer }[]>(
      'select type, image from photographs where id = ?',
      [param('id')],
    )
    if (!row) throw notFound('photograph', param('id'))
    // it never changes: another one has another id
    res.setHeader('Cache-Control', 'private, max-age=31536000, immutable').type(row.type).end(row.image)
    return undefined
  })

  route(router, orm, endpoints.removePhotograph, async ({ em, param }) => {
    const gone = await em.execute<{ id: string }[]>('delete from photographs where id = ? returning id', [
      param('id'),
    ])
    if (gone.length === 0) throw notFound('photograph', param('id'))
    return undefined
  })

  return router
}
