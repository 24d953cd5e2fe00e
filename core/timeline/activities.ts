import type { Order } from '../model/order.ts'
import type { Workshop } from '../model/workshop.ts'
import { STAGE, STAGES } from '../plan/work/stages.ts'
import { type Activity, type After, activity, after, type Store } from './activity.ts'
import { idOf, type PlanOfWork, worked } from './work/context.ts'
import { boxing, putOn, shelfOf } from './work/finish.ts'
import { baseMakes, bowls, fillings } from './work/making.ts'
import { piping, standsOnPiece } from './work/piping.ts'
import { ground } from './work/spreads.ts'
import { inTurn } from './work/turns.ts'

/** Pieces of one kind that stand on a shelf from the first touch until they are fetched. */
export interface Shelved {
  pieceId: string
  store: Store
  trays: number
  from: string[]
}

/** All that has to be done for an order. */
export interface Work {
  activities: Activity[]
  shelved: Shelved[]
}

/**
 * The work of an order, from its plan: base and bowls, bags, coats with their chills, flowers on nails until they are firm, all that
 * is piped on each piece in its order, things put on, boxing, washing up.
 */
export function activitiesOf(order: Order, plan: PlanOfWork, workshop: Workshop): Work {
  const of = worked(order, plan, workshop)
  const { piped, others } = piping(of)
  const bases = baseMakes(of)
  const drills = order.drills.map(({ drill, label, minutes }) =>
    activity({
      ...{ id: idOf.practise(drill), kind: 'practise', what: label, where: 'on the practice sheet' },
      // with plain icing, as soon as there is some
      ...{ minutes, pipes: true, after: after(...bases.slice(0, 1).map((b) => b.id)) },
    }),
  )
  for (const { activity: a } of piped) a.after.push(...after(...drills.map((d) => d.id)))
  const activities = [
    ...drills,
    ...bases,
    ...bowls(of),
    ...fillings(of),
    ...piped.map((p) => p.activity),
    ...others,
  ]
  const shelved: Shelved[] = []
  for (const piece of order.pieces) {
    const base = ground(of, piece)
    const onIt: Activity[] = [...base.activities]
    let ready: After[] = base.ready
    // while the coat is wet, whatever waits for it to set
    const wet = putOn(of, piece, 'wet').map((w) => ({
      ...w,
      after: after(...base.activities.slice(-1).map((a) => a.id)),
    }))
    onIt.push(...wet)
    ready = [...ready, ...after(...wet.map((w) => w.id))]
    for (let stage = STAGE.under; stage < STAGES; stage++) {
      const here = piped.filter((p) => p.pieceId === piece.id && p.stage === stage && standsOnPiece(p))
      const lifted =
        stage === STAGE.lifted ? others.filter((a) => a.kind === 'lift' && a.pieceId === piece.id) : []
      const own = [...here.map((p) => p.activity), ...lifted]
      if (own.length === 0) continue
      for (const a of own) a.after.push(...ready)
      onIt.push(...own)
      ready = [...here.flatMap((p) => p.done), ...after(...lifted.map((a) => a.id))]
    }
    const last = putOn(of, piece, 'last').map((s) => ({ ...s, after: ready }))
    onIt.push(...last)
    if (last.length > 0) ready = after(...last.map((s) => s.id))
    const boxed = boxing(of, piece, [...ready.map((r) => r.id), ...onIt.map((a) => a.id)]).map((b) => ({
      ...b,
      after: [...ready, ...b.after],
    }))
    activities.push(...base.activities, ...wet, ...last, ...(onIt.length > 0 ? boxed : []))
    if (onIt.length > 0)
      shelved.push({ pieceId: piece.id, ...shelfOf(of, piece), from: onIt.map((a) => a.id) })
  }
  inTurn(of, activities)
  const { washUpMinutes } = workshop.settings.day
  if (washUpMinutes > 0 && piped.length > 0)
    activities.push(
      activity({
        id: idOf.wash,
        kind: 'wash',
        what: 'Wash up',
        where: 'bags, tips, nails, bench',
        minutes: washUpMinutes,
        after: after(...piped.map((p) => p.activity.id)),
      }),
    )
  return { activities, shelved }
}
