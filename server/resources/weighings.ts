import { randomUUID } from 'node:crypto'
import type { MikroORM } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { weighingEndpoints as endpoints } from '#contract/weighings'
import { fitFlower } from '#core/flowers/resolve'
import type { Weighing } from '#core/logbook/weighing'
import { WeighingRow } from '../entities/weighing.ts'
import { invalid, notFound } from '../problems.ts'
import { route } from '../route.ts'
import { loadWorkshop } from './workshopRows.ts'

/** Weighings of a flower: kept with what the geometry said at the time, so that they outlive a changed recipe. */
export function weighingRoutes(orm: MikroORM): Router {
  const router = Router()

  route(router, orm, endpoints.list, async ({ em, param }) => {
    const rows = await em.find(WeighingRow, { flowerId: param('id') }, { orderBy: { at: 'desc' } })
    return rows.map(toWeighing)
  })

  route(router, orm, endpoints.add, async ({ em, param, body }) => {
    const { workshop } = await loadWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    const icing = workshop.icings.find((i) => i.id === body.icingKindId)
    if (!icing)
      throw invalid([{ path: ['icingKindId'], message: `There is no icing kind "${body.icingKindId}".` }])
    const plain = { ...flower, calibration: 1 }
    const { measure } = fitFlower(plain, { sizeMm: null, tips: {} }, workshop.tips)
    const row = em.create(WeighingRow, {
      ...body,
      id: randomUUID(),
      flowerId: flower.id,
      at: new Date(),
      computedGrams: (measure.volumeMm3 / 1000) * icing.density * body.count,
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
