import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { workshopEndpoints as endpoints } from '#contract/workshop'
import { catalogueTips } from '#core/catalogue/tips'
import type { AppContext } from '../appContext.ts'
import { BagRow, SettingsRow, TipRow } from '../entities/workshop.ts'
import { notFound } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { SETTINGS_ID } from '../workshop/load.ts'
import { refuseWhileUsed, sameId, sameVersion } from './rules.ts'

/** What the bakery owns: counts and stamps of tips, tips of its own, bags, settings; and all of the workshop at once. */
export function workshopRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.read, async ({ em, req, res }) => {
    const { fingerprint, bytes } = (await currentWorkshop(em)).shared
    const etag = `"${fingerprint}"`
    res.setHeader('ETag', etag).setHeader('Cache-Control', 'private, no-cache')
    if (req.get('If-None-Match') === etag) res.status(304).end()
    else res.type('json').end(new Uint8Array(bytes))
    return undefined as never
  })

  route(router, orm, endpoints.saveSettings, async ({ em, body, version }) => {
    const row = await em.findOne(SettingsRow, SETTINGS_ID)
    sameVersion(row, version)
    const saved = row ?? em.create(SettingsRow, { id: SETTINGS_ID, values: body })
    saved.values = body
    await em.flush()
    return { version: saved.version }
  })

  route(router, orm, endpoints.countTip, async ({ em, param, body, version }) => {
    const id = param('id')
    const row = await em.findOne(TipRow, { id, deletedAt: null })
    if (!row && !catalogueTips.some((t) => t.id === id)) throw notFound('tip', id)
    sameVersion(row, version)
    const saved = row ?? em.create(TipRow, { id, ...body })
    Object.assign(saved, body)
    await em.flush()
    return { version: saved.version }
  })

  route(router, orm, endpoints.addTip, async ({ em, body: { owned, stamp, ...spec } }) => {
    const row = em.create(TipRow, { id: `own-${randomUUID()}`, owned, stamp, spec })
    await em.flush()
    return { ...spec, id: row.id, owned, stamp, source: 'own' as const }
  })

  route(router, orm, endpoints.removeTip, async ({ em, param }) => {
    const row = await em.findOne(TipRow, { id: param('id'), spec: { $ne: null }, deletedAt: null })
    if (!row) throw notFound('tip of your own', param('id'))
    await refuseWhileUsed(em, 'tips', row.id, 'This tip')
    row.deletedAt = new Date()
    return undefined
  })

  route(router, orm, endpoints.saveBag, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    const { id, owned, ...spec } = body
    const row = await em.findOne(BagRow, id)
    sameVersion(row, version)
    const saved = row ?? em.create(BagRow, { id, owned, spec })
    Object.assign(saved, { owned, spec })
    await em.flush()
    return { version: saved.version }
  })

  return router
}
