import { randomUUID } from 'node:crypto'
import { Router } from 'express'
import { dyeEndpoints as endpoints, type MixRecord } from '#contract/dyes'
import { catalogueDyes } from '#core/catalogue/dyes'
import type { Dye } from '#core/model/dye'
import type { AppContext } from '../appContext.ts'
import { DyeRow, MixRow } from '../entities/dye.ts'
import { invalid, notFound } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { currentWorkshop } from '../workshop/current.ts'
import { sameVersion } from './rules.ts'

/** Dyes as the bakery has them, and bowls as they came out. */
export function dyeRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, endpoints.saveDye, async ({ em, param, body, version }) => {
    const id = param('id')
    if (body.id !== id)
      throw invalid([{ path: ['id'], message: `The address says "${id}", the document "${body.id}".` }])
    const catalogue = catalogueDyes.find((d) => d.id === id)
    const row = await em.findOne(DyeRow, { id, deletedAt: null })
    if (!row && !catalogue) throw notFound('dye', id)
    const { workshop } = await currentWorkshop(em)
    unknownIcings(body.dabs, workshop.icings)
    sameVersion(row, version)
    // a catalogue dye keeps its name and hue; everything else is the bakery's word
    const spec = catalogue
      ? { ...told(body), name: catalogue.name, weights: catalogue.weights, source: 'catalogue' as const }
      : { ...told(body), source: 'own' as const }
    const saved = row ?? em.create(DyeRow, { id, spec })
    saved.spec = spec
    await em.flush()
    return { version: saved.version }
  })

  route(router, orm, endpoints.addDye, async ({ em, body }) => {
    const { workshop } = await currentWorkshop(em)
    unknownIcings(body.dabs, workshop.icings)
    const id = `own-${randomUUID()}`
    const dye: Dye = { ...body, id, source: 'own', learnt: { log: 0, sd: 0, mixes: 0 } }
    em.create(DyeRow, { id, spec: told(dye) })
    return dye
  })

  route(router, orm, endpoints.removeDye, async ({ em, param }) => {
    const row = await em.findOne(DyeRow, { id: param('id'), deletedAt: null })
    if (row?.spec.source !== 'own') throw notFound('bottle of your own', param('id'))
    row.deletedAt = new Date()
    return undefined
  })

  route(router, orm, endpoints.mixes, async ({ em, param }) => {
    const rows = await em.find(MixRow, { orderId: param('id') }, { orderBy: { at: 'desc' } })
    return rows.map(toMix)
  })

  route(router, orm, endpoints.addMix, async ({ em, body }) => {
    const { workshop } = await currentWorkshop(em)
    if (!workshop.icings.some((i) => i.id === body.icingKindId))
      throw invalid([{ path: ['icingKindId'], message: `There is no icing kind "${body.icingKindId}".` }])
    body.doses.forEach(({ dyeId }, i) => {
      if (!workshop.dyes.some((d) => d.id === dyeId))
        throw invalid([{ path: ['doses', i, 'dyeId'], message: `There is no dye "${dyeId}".` }])
    })
    const row = em.create(MixRow, { ...body, id: randomUUID(), at: new Date() })
    await em.flush()
    return toMix(row)
  })

  route(router, orm, endpoints.removeMix, async ({ em, param }) => {
    const row = await em.findOne(MixRow, param('id'))
    if (!row) throw notFound('bowl', param('id'))
    em.remove(row)
    return undefined
  })

  return router
}

function told({ learnt: _, ...spec }: Dye): Omit<Dye, 'learnt'> {
  return spec
}

function unknownIcings(dabs: Dye['dabs'], icings: readonly { id: string }[]): void {
  const faults = dabs.flatMap((dab, i) =>
    icings.some((icing) => icing.id === dab.icingKindId)
      ? []
      : [{ path: ['dabs', i, 'icingKindId'], message: `There is no icing kind "${dab.icingKindId}".` }],
  )
  if (faults.length > 0) throw invalid(faults)
}

function toMix({ at, ...row }: MixRow): MixRecord {
  const { id, orderId, colourId, icingKindId, grams, doses, targetHex, observedHex } = row
  return {
    id,
    orderId: orderId ?? null,
    colourId,
    icingKindId,
    grams,
    doses,
    targetHex,
    observedHex,
    at: at.toISOString(),
  }
}
