import { settingOf } from '../../icings/setting.ts'
import { timesOf } from '../../icings/times.ts'
import type { Piece } from '../../model/order.ts'
import type { Use } from '../../model/plan.ts'
import { pipingMinutes } from '../../plan/hands.ts'
import { STAGE, stageOf } from '../../plan/work/stages.ts'
import { surfaceDefinition } from '../../surfaces/index.ts'
import { type Activity, type After, activity, after } from '../activity.ts'
import { idOf, SPREADS, spreadId, sum, type Worked } from './context.ts'
import { mixed } from './making.ts'

/** What is spread on a piece and what its tiers are stacked by; and what comes first of all that is piped on it, when. */
export interface Ground {
  activities: Activity[]
  ready: After[]
}

/** Filling, crumb coat, chill, coat, chill; then tiers are stacked on their supports. */
export function ground(of: Worked, piece: Piece): Ground {
  const { plan, workshop, at } = of
  const isCake = surfaceDefinition(piece.shape.kind)
    .bodies(piece.shape)
    .some((b) => b.fillingMm2 !== null)
  const activities: Activity[] = []
  let ready: After[] = []
  for (const { stage, what } of SPREADS) {
    const uses = plan.uses.filter((u) => u.pieceId === piece.id && u.form === 'coat' && stageOf(u) === stage)
    if (uses.length === 0) continue
    const id = spreadId(uses[0]!)
    activities.push(
      activity({
        id,
        kind: 'spread',
        what,
        where: piece.name,
        minutes: sum(uses, pipingMinutes),
        pieceId: piece.id,
        count: piece.count,
        colourIds: coloursOf(uses),
        after: [...ready, ...uses.flatMap((u) => u.parts.map((p) => mixed(of, u.icingKindId, p.colourId)))],
      }),
    )
    const icing = at.icing(uses[0]!.icingKindId)
    // what is wet is put on before it sets, so a coat on anything but a cake is gone on from at once
    const sets = stage === STAGE.crumbCoat || (stage === STAGE.coat && isCake)
    const dries = settingOf(icing) === 'drying'
    ready = sets ? [{ id, lag: timesOf(icing).coatMinutes, wait: dries ? 'dry' : 'chill' }] : after(id)
  }
  const { shape } = piece
  const tiers = shape.kind === 'cake' ? shape.tiers.length : 1
  const { stackMinutes } = workshop.settings.day
  if (tiers > 1 && stackMinutes > 0) {
    const id = idOf.stack(piece.id)
    activities.push(
      activity({
        id,
        kind: 'stack',
        what: 'Supports and stacking',
        where: piece.name,
        minutes: stackMinutes * (tiers - 1) * piece.count,
        pieceId: piece.id,
        count: piece.count,
        after: ready,
      }),
    )
    ready = after(id)
  }
  return { activities, ready }
}

const coloursOf = (uses: readonly Use[]) => [...new Set(uses.flatMap((u) => u.parts.map((p) => p.colourId)))]
