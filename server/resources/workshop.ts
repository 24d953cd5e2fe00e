import { randomUUID } from 'node:crypto'
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { workshopEndpoints as endpoints } from '#contract/workshop'
import { catalogueTips } from '#core/catalogue/tips'
import { readFlowerFile, writeFlowerFile } from '#core/files/flowerFile'
import { flowerFaults } from '#core/model/faults'
import { OrderRow } from '../entities/order.ts'
import { BagRow, FlowerRow, IcingRow, SettingsRow, TipRow } from '../entities/workshop.ts'
import { invalid, notFound, ProblemError } from '../problems.ts'
import { route } from '../route.ts'
import { toOrder } from './orderRows.ts'
import { sameVersion } from './versions.ts'
import { loadWorkshop, SETTINGS_ID } from './workshopRows.ts'

/** What the bakery owns and knows: counts, stamps, own tips, flowers and recipes, settings. */
export function workshopRoutes(orm: MikroORM): Router {
  const router = Router()

  route(router, orm, endpoints.read, ({ em }) => loadWorkshop(em))

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
    const row = await em.findOne(TipRow, id)
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
    const row = await em.findOne(TipRow, { id: param('id'), spec: { $ne: null } })
    if (!row) throw notFound('tip of your own', param('id'))
    await refuseWhileUsed(em, `tip`, (order) =>
      order.pieces.some((p) => p.flowers.some((f) => Object.values(f.tips).includes(row.id))),
    )
    const flowers = await em.find(FlowerRow, {})
    const using = flowers.find((f) => f.spec.layers.some((l) => l.tipId === row.id))
    if (using)
      throw new ProblemError(
        409,
        'Still in use',
        `${using.spec.name} is piped with this tip. Change the flower first.`,
      )
    em.remove(row)
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

  route(router, orm, endpoints.saveFlower, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    const row = await em.findOne(FlowerRow, body.id)
    if (!row) throw readOnly('flower', body.name)
    sameVersion(row, version)
    const { workshop } = await loadWorkshop(em)
    const faults = flowerFaults(body, workshop.tips)
    if (faults.length > 0) throw invalid(faults)
    row.spec = { ...body, source: 'own' }
    await em.flush()
    return { version: row.version }
  })

  route(router, orm, endpoints.copyFlower, async ({ em, param }) => {
    const { workshop } = await loadWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    const copy = { ...ownCopy(flower), calibration: flower.calibration }
    em.create(FlowerRow, { id: copy.id, spec: copy })
    return copy
  })

  route(router, orm, endpoints.exportFlower, async ({ em, param, res }) => {
    const { workshop } = await loadWorkshop(em)
    const flower = workshop.flowers.find((f) => f.id === param('id'))
    if (!flower) throw notFound('flower', param('id'))
    res.attachment(`${flower.id}.kanten-flower.json`)
    return writeFlowerFile(flower, workshop)
  })

  route(router, orm, endpoints.importFlower, async ({ em, body }) => {
    const { workshop } = await loadWorkshop(em)
    const read = readFlowerFile(body, workshop)
    if (!read.ok) throw invalid(read.faults)
    const { flower, tips } = read.value
    const known = new Set(workshop.tips.map((t) => t.id))
    for (const { id, ...spec } of tips)
      if (!known.has(id)) em.create(TipRow, { id, owned: 0, stamp: '', spec })
    const taken = workshop.flowers.some((f) => f.id === flower.id)
    const own = { ...flower, id: taken ? `own-${randomUUID()}` : flower.id, source: 'own' as const }
    em.create(FlowerRow, { id: own.id, spec: own })
    return own
  })

  route(router, orm, endpoints.removeFlower, async ({ em, param }) => {
    const row = await em.findOne(FlowerRow, param('id'))
    if (!row) throw notFound('flower of your own', param('id'))
    await refuseWhileUsed(em, row.spec.name, (order) =>
      order.pieces.some((p) => p.flowers.some((f) => f.flowerId === row.id)),
    )
    em.remove(row)
    return undefined
  })

  route(router, orm, endpoints.saveIcing, async ({ em, param, body, version }) => {
    sameId(param('id'), body.id)
    const row = await em.findOne(IcingRow, body.id)
    if (!row) throw readOnly('icing kind', body.name)
    sameVersion(row, version)
    row.spec = { ...body, source: 'own' }
    await em.flush()
    return { version: row.version }
  })

  route(router, orm, endpoints.copyIcing, async ({ em, param }) => {
    const { workshop } = await loadWorkshop(em)
    const icing = workshop.icings.find((i) => i.id === param('id'))
    if (!icing) throw notFound('icing kind', param('id'))
    const copy = ownCopy(icing)
    em.create(IcingRow, { id: copy.id, spec: copy })
    return copy
  })

  route(router, orm, endpoints.removeIcing, async ({ em, param }) => {
    const row = await em.findOne(IcingRow, param('id'))
    if (!row) throw notFound('icing kind of your own', param('id'))
    await refuseWhileUsed(
      em,
      row.spec.name,
      (order) => order.icingKindId === row.id || order.pieces.some((p) => p.icingKindId === row.id),
    )
    em.remove(row)
    return undefined
  })

  return router
}

function ownCopy<T extends { id: string; name: string }>(of: T) {
  const name = `${of.name} (ours)`.slice(0, 80)
  return { ...of, id: `own-${randomUUID()}`, name, source: 'own' as const, basedOn: of.id }
}

function sameId(address: string, body: string): void {
  if (address !== body)
    throw invalid([{ path: ['id'], message: `The address says "${address}", the document "${body}".` }])
}

const readOnly = (what: string, name: string) =>
  new ProblemError(
    409,
    'From the catalogue',
    `${name} is a ${what} of the catalogue. Copy it, then change the copy.`,
  )

async function refuseWhileUsed(
  em: EntityManager,
  name: string,
  uses: (order: ReturnType<typeof toOrder>) => boolean,
): Promise<void> {
  const rows = await em.find(OrderRow, { deletedAt: null }, { populate: ['pieces'] })
  const using = rows.find((row) => uses(toOrder(row)))
  if (using)
    throw new ProblemError(
      409,
      'Still in use',
      `${name} is used by "${using.title}". Change that order first.`,
    )
}
