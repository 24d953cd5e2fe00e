import { Router } from 'express'
import { comingEndpoints } from '#contract/coming'
import { DAY_MINUTES, minuteOf, momentOf } from '#core/timeline/clock'
import { AHEAD_DAYS, MOST_TOGETHER } from '#core/timeline/starts'
import type { AppContext } from '../appContext.ts'
import { inTime, route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { findTexts } from './orderRows.ts'

/** The orders of the coming days, placed in time together. */
export function comingRoutes({ orm, plans }: AppContext): Router {
  const router = Router()
  route(
    router,
    orm,
    comingEndpoints.plan,
    async ({ em, query: { now }, res }) => {
      const today = now.slice(0, 10)
      const until = momentOf(minuteOf(`${today}T00:00`) + AHEAD_DAYS * DAY_MINUTES).slice(0, 10)
      const [orders, { shared }] = await inTime(
        Promise.all([findTexts(em, today, until, MOST_TOGETHER), currentWorkshop(em)]),
      )
      res.type('json').end(await plans.coming({ orders, workshop: shared, now }))
      return undefined as never
    },
    // planning has limits of its own
    { deadlineMs: null },
  )
  return router
}
