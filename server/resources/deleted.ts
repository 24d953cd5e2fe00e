import type { EntityManager } from '@mikro-orm/postgresql'
import { Router } from 'express'
import { type DeletedKind, deletedEndpoints, deletedKindSchema } from '#contract/deleted'
import { tipsNamed, tipsOfLayouts } from '#core/model/retip'
import { describeOpening } from '#core/tips/index'
import type { AppContext } from '../appContext.ts'
import { DyeRow } from '../entities/dye.ts'
import { OrderRow } from '../entities/order.ts'
import { FlowerRow, IcingRow, TipRow } from '../entities/workshop.ts'
import { notFound, ProblemError } from '../http/problems.ts'
import { route } from '../http/route.ts'
import { orderUsing, recipeUsing } from './uses.ts'

const words: Record<DeletedKind, string> = {
  orders: 'deleted order',
  flowers: 'deleted flower',
  icings: 'deleted icing kind',
  tips: 'deleted tip',
  dyes: 'deleted bottle',
}

/** More than anybody looks through; the rest shows as these are dealt with. */
const MOST_SHOWN = 500

/** What was deleted: shown, brought back, or deleted for good. */
export function deletedRoutes({ orm }: AppContext): Router {
  const router = Router()

  route(router, orm, deletedEndpoints.list, async ({ em }) => {
    const gone = { deletedAt: { $ne: null } }
    const at = (row: { deletedAt?: Date | null }) => row.deletedAt!.toISOString()
    const orders = await em.find(OrderRow, gone, {
      fields: ['title', 'customer', 'collectAt', 'deletedAt'],
      orderBy: { deletedAt: 'desc' },
      limit: MOST_SHOWN,
    })
    const flowers = await em.find(FlowerRow, gone)
    const icings = await em.find(IcingRow, gone)
    const tips = await em.find(TipRow, gone)
    const dyes = await em.find(DyeRow, gone)
    return [
      ...orders.map((row) => ({
        kind: 'orders' as const,
        id: row.id,
        name: row.title,
        about: row.customer,
        due: row.collectAt,
        deletedAt: at(row),
      })),
      ...flowers.map((row) => ({
        kind: 'flowers' as const,
        id: row.id,
        name: row.spec.name,
        about: `${row.spec.layers.length} layers`,
        due: null,
        deletedAt: at(row),
      })),
      ...icings.map((row) => ({
        kind: 'icings' as const,
        id: row.id,
        name: row.spec.name,
        about: '',
        due: null,
        deletedAt: at(row),
      })),
      ...tips.map((row) => ({
        kind: 'tips' as const,
        id: row.id,
        name: row.stamp || 'Tip of our own',
        about: row.spec ? describeOpening(row.spec.opening) : '',
        due: null,
        deletedAt: at(row),
      })),
      ...dyes.map((row) => ({
        kind: 'dyes' as const,
        id: row.id,
        name: row.spec.name,
        about: '',
        due: null,
        deletedAt: at(row),
      })),
    ].sort((a, b) => (a.deletedAt < b.deletedAt ? 1 : -1))
  })

  route(router, orm, deletedEndpoints.restore, async ({ em, param }) => {
    const [kind, id] = [kindOf(param('kind')), param('id')]
    if (kind === 'orders') await restoreOrder(em, id)
    else if (kind === 'flowers') await restoreFlower(em, id)
    else await bringBack(em, kind, id)
    return undefined
  })

  route(router, orm, deletedEndpoints.purge, async ({ em, param }) => {
    const [kind, id] = [kindOf(param('kind')), param('id')]
    const using = (await orderUsing(em, kind, id, 'all')) ?? (await recipeUsing(em, kind, id, 'all'))
    if (using)
      throw new ProblemError(
        409,
        'still-in-use',
        'Still in use',
        `“${using}” is made with it and can be brought back too. Delete that for good first.`,
      )
    const gone = await em.execute(
      `delete from ${kind} where id = ? and deleted_at is not null returning id`,
      [id],
    )
    if (gone.length === 0) throw notFound(words[kind], id)
    if (kind === 'orders') {
      await em.execute('delete from bench_events where run_id in (select id from runs where order_id = ?)', [
        id,
      ])
      // what was made stays in the logbook; photographs that never came there go
      await em.execute(
        `delete from photographs where entry_id in (select id from runs where order_id = ?)
         and entry_id not in (select id from log_entries)`,
        [id],
      )
      await em.execute('delete from runs where order_id = ?', [id])
    }
    return undefined
  })

  return router
}

function kindOf(word: string): DeletedKind {
  const kind = deletedKindSchema.safeParse(word)
  if (!kind.success) throw notFound('kind of deleted things', word)
  return kind.data
}

/** A kind of deleted thing is called as its table is. */
async function bringBack(em: EntityManager, kind: DeletedKind, id: string): Promise<void> {
  const back = await em.execute(`update ${kind} set deleted_at = null where id = ? returning id`, [id])
  if (back.length === 0) throw notFound(words[kind], id)
}

async function restoreFlower(em: EntityManager, id: string): Promise<void> {
  await bringBack(em, 'flowers', id)
  const { spec } = await em.findOneOrFail(FlowerRow, id)
  await undelete(em, 'tips', new Set(spec.layers.map((l) => l.tipId)))
}

/** Brings an order back, and with it every flower, icing kind and tip that it is made with. */
export async function restoreOrder(em: EntityManager, id: string): Promise<void> {
  await bringBack(em, 'orders', id)
  const { document } = await em.findOneOrFail(OrderRow, id)
  const placed = document.pieces.flatMap((p) => p.flowers)
  const flowers = await em.find(FlowerRow, { id: { $in: placed.map((f) => f.flowerId) } })
  for (const flower of flowers) await restoreFlower(em, flower.id)
  const icings = [document.icingKindId, ...document.pieces.flatMap((p) => p.icingKindId ?? [])]
  await undelete(em, 'icings', new Set(icings))
  await undelete(
    em,
    'tips',
    new Set([...placed.flatMap(tipsNamed), ...document.pieces.flatMap(tipsOfLayouts)]),
  )
}

async function undelete(em: EntityManager, kind: DeletedKind, ids: ReadonlySet<string>): Promise<void> {
  await em.execute(
    `update ${kind} set deleted_at = null
     where id in (select jsonb_array_elements_text(?::jsonb)) and deleted_at is not null`,
    [JSON.stringify([...ids])],
  )
}
