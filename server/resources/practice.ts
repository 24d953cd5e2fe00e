import { Router } from 'express'
import { practiceEndpoints as endpoints } from '#contract/practice'
import type { PracticeMark, PracticeTry } from '#core/model/practiceTry'
import type { AppContext } from '../appContext.ts'
import { notFound } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { sameId } from './rules.ts'

/** Tries at drills of the practice sheet. */
export function practiceRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.list, async ({ em }) => {
    const rows = await em.execute<{ mark: PracticeMark }[]>(
      `select made - 'trace' as mark from practice_tries order by made ->> 'at', number`,
    )
    return rows.map((r) => r.mark)
  })

  route(router, orm, endpoints.read, async ({ em, param }) => {
    const [row] = await em.execute<{ made: PracticeTry }[]>('select made from practice_tries where id = ?', [
      param('id'),
    ])
    if (!row) throw notFound('try', param('id'))
    return row.made
  })

  route(router, orm, endpoints.keep, async ({ em, param, body }) => {
    sameId(param('id'), body.id)
    await em.execute(
      'insert into practice_tries (id, made) values (?, ?::jsonb) on conflict (id) do nothing',
      [body.id, JSON.stringify(body)],
    )
    const { trace: _, ...mark } = body
    return mark
  })

  route(router, orm, endpoints.remove, async ({ em, param }) => {
    const gone = await em.execute<{ id: string }[]>('delete from practice_tries where id = ? returning id', [
      param('id'),
    ])
    if (gone.length === 0) throw notFound('try', param('id'))
    return undefined
  })

  return router
}
