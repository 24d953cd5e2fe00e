import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { workshopEndpoints as endpoints } from '#contract/workshop'
import { readFlowerFile, writeFlowerFile } from '#core/files/flowerFile'
import { takeInFlower } from '#core/files/takeIn'
import { blankFlower } from '#core/flowers/blank'
import { flowerFaults } from '#core/model/faults'
import { flowerSchema } from '#core/model/flower'
import { copyName, distinctName } from '#core/model/names'
import type { AppContext } from '../appContext.ts'
import { FlowerRow, TipRow } from '../entities/workshop.ts'
import { invalid, notFound } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { reservedIds } from './reserved.ts'
import { readOnly, refuseWhileUsed, sameId, sameVersion, storable } from './rules.ts'

/** Flowers of the bakery's own: changed, copied, in and out as files. */
export function flowerRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.saveFlower, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    const row = await em.findOne(FlowerRow, { id: body.id, deletedAt: null })
    if (!row) throw readOnly('flower', body.name)
    sameVersion(row, version)
    const { workshop, calibrations } = await currentWorkshop(em)
    const faults = flowerFaults(body, workshop.tips)
    if (faults.length > 0) throw invalid(faults)
    // what records teach is worked out from the records: it must not outlive them in the recipe
    const { calibration, spread } = calibrations[body.id] ? row.spec : body
    const known = workshop.flowers.find((f) => f.id === body.id)
    const spoilRate = body.spoilRate === known?.spoilRate ? row.spec.spoilRate : body.spoilRate
    row.spec = { ...body, calibration, spread, spoilRate, pace: 1, source: 'own' }
    await em.flush()
    return { version: row.version }
  })

  route(router, orm, endpoints.copyFlower, async ({ em, param }) => {
    const { workshop } = await currentWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    const copy = storable(flowerSchema, {
      ...flower,
      id: `own-${randomUUID()}`,
      name: copyName(
        flower.name,
        'ours',
        workshop.flowers.map((f) => f.name),
      ),
      pace: 1,
      source: 'own',
      basedOn: flower.id,
    })
    em.create(FlowerRow, { id: copy.id, spec: copy })
    return copy
  })

  route(router, orm, endpoints.createFlower, async ({ em, body }) => {
    const { workshop } = await currentWorkshop(em)
    const taken = workshop.flowers.map((f) => f.name)
    const blank = blankFlower(
      body.form,
      distinctName(`New ${body.form}`, taken),
      `own-${randomUUID()}`,
      workshop.flowers,
    )
    em.create(FlowerRow, { id: blank.id, spec: storable(flowerSchema, blank) })
    return blank
  })

  route(router, orm, endpoints.exportFlower, async ({ em, param, res }) => {
    const { workshop } = await currentWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    res.attachment(`${flower.id}.kanten-flower.json`)
    return writeFlowerFile(flower, workshop)
  })

  route(router, orm, endpoints.importFlower, async ({ em, body }) => {
    // before the workshop, for the reason that `importOrder` gives
    const reserved = await reservedIds(em)
    const { workshop } = await currentWorkshop(em)
    const read = readFlowerFile(body, workshop)
    if (!read.ok) throw invalid(read.faults)
    const newId = () => `own-${randomUUID()}`
    const { flower, tips } = takeInFlower(read.value, workshop, reserved, newId)
    for (const { id, ...spec } of tips) em.create(TipRow, { id, owned: 0, stamp: '', spec })
    em.create(FlowerRow, { id: flower.id, spec: storable(flowerSchema, flower) })
    return flower
  })

  route(router, orm, endpoints.removeFlower, async ({ em, param }) => {
    const row = await em.findOne(FlowerRow, { id: param('id'), deletedAt: null })
    if (!row) throw notFound('flower of your own', param('id'))
    await refuseWhileUsed(em, 'flowers', row.id, row.spec.name)
    row.deletedAt = new Date()
    return undefined
  })

  return router
}
