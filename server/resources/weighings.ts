import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { weighingEndpoints as endpoints } from '#contract/weighings'
import { fitFlower } from '#core/flowers/resolve'
import { type Weighing, weighingDoubt } from '#core/logbook/weighing'
import type { AppContext } from '../appContext.ts'
import { WeighingRow } from '../entities/weighing.ts'
import { invalid, notFound, ProblemError } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'

/** Weighings of a flower: kept with what the geometry said at the time, so that they outlive a changed recipe. */
export function weighingRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.list, async ({ em, param }) => {
    const rows = await em.find(WeighingRow, { flowerId: param('id') }, { orderBy: { at: 'desc' } })
    return rows.map(toWeighing)
  })

  route(router, orm, endpoints.add, async ({ em, param, body }) => {
    const { workshop } = await currentWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    const icing = workshop.icings.find((i) => i.id === body.icingKindId)
    if (!icing)
      throw invalid([{ path: ['icingKindId'], message: `There is no icing kind "${body.icingKindId}".` }])
    const plain = { ...flower, calibration: 1 }
    const { measure } = fitFlower(plain, { sizeMm: null, tips: {} }, workshop.tips)
    const { sure, ...weighed } = body
    const computedGrams = (measure.volumeMm3 / 1000) * icing.density * body.count
    const doubt = sure ? null : weighingDoubt({ ...weighed, computedGrams })
    if (doubt)
      throw new ProblemError(422, 'implausible', 'Can this be?', doubt, [{ path: ['count'], message: doubt }])
    const row = em.create(WeighingRow, {
      ...weighed,
      id: randomUUID(),
      flowerId: flower.id,
      at: new Date(),
      computedGrams,
    })
    await em.flush()
    return toWeighing(row)
  })

  route(router, orm, endpoints.remove, async ({ em, param }) => {
    const row = await em.findOne(WeighingRow, { id: param('weighing'), flowerId: param('id') })
    if (!row) throw notFound('weighing', param('weighing'))
    em.remove(row)
    return undefined
  })

  return router
}

function toWeighing({ at, ...row }: WeighingRow): Weighing {
  const { id, flowerId, count, grams, icingKindId, note, computedGrams } = row
  return { id, flowerId, count, grams, icingKindId, note, computedGrams, at: at.toISOString() }
}
