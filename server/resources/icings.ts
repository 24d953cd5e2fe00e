import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { workshopEndpoints as endpoints } from '#contract/workshop'
import { icingKindSchema } from '#core/model/icing'
import { copyName } from '#core/model/names'
import type { AppContext } from '../appContext.ts'
import { IcingRow } from '../entities/workshop.ts'
import { notFound } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { readOnly, refuseWhileUsed, sameId, sameVersion, storable } from './rules.ts'

/** Icing kinds of the bakery's own. */
export function icingRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.saveIcing, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    const row = await em.findOne(IcingRow, { id: body.id, deletedAt: null })
    if (!row) throw readOnly('icing kind', body.name)
    sameVersion(row, version)
    row.spec = { ...body, source: 'own' }
    await em.flush()
    return { version: row.version }
  })

  route(router, orm, endpoints.copyIcing, async ({ em, param }) => {
    const { workshop } = await currentWorkshop(em)
    const icing = workshop.icings.find((i) => i.id === param('id'))
    if (!icing) throw notFound('icing kind', param('id'))
    const name = copyName(
      icing.name,
      'ours',
      workshop.icings.map((i) => i.name),
    )
    const copy = storable(icingKindSchema, {
      ...icing,
      id: `own-${randomUUID()}`,
      name,
      source: 'own',
      basedOn: icing.id,
    })
    em.create(IcingRow, { id: copy.id, spec: copy })
    return copy
  })

  route(router, orm, endpoints.removeIcing, async ({ em, param }) => {
    const row = await em.findOne(IcingRow, { id: param('id'), deletedAt: null })
    if (!row) throw notFound('icing kind of your own', param('id'))
    await refuseWhileUsed(em, 'icings', row.id, row.spec.name)
    row.deletedAt = new Date()
    return undefined
  })

  return router
}
