import { keptIn } from '../../icings/times.ts'
import type { Piece } from '../../model/order.ts'
import { standsOnBoard } from '../../surfaces/index.ts'
import { type Activity, activity, after } from '../activity.ts'
import { pieceTrays } from '../trays.ts'
import { idOf, sum, type Worked } from './context.ts'

/** What is put on a piece and not piped, while its coat is wet or when everything else is done. */
export function putOn({ plan, at }: Worked, piece: Piece, when: 'wet' | 'last'): Activity[] {
  const things = plan.setOns.filter((s) => s.pieceId === piece.id && s.when === when)
  if (things.length === 0) return []
  const names = [...new Set(things.map((t) => at.setOn(t.setOnId).name))]
  return [
    activity({
      id: idOf.setOn(piece.id, when),
      kind: 'setOn',
      what: names.length > 2 ? `${names[0]} and ${names.length - 1} more` : names.join(' and '),
      where: `onto ${piece.name}${when === 'wet' ? ', while it is wet' : ''}`,
      minutes: sum(things, (t) => t.minutes),
      pieceId: piece.id,
      count: piece.count,
    }),
  ]
}

/** A piece is boxed when all is done on it. */
export function boxing({ workshop }: Worked, piece: Piece, all: readonly string[]): Activity[] {
  const { boxMinutes, perBox } = workshop.settings.day
  const boxes = standsOnBoard(piece.shape) ? piece.count : Math.ceil(piece.count / perBox)
  if (boxMinutes === 0) return []
  return [
    activity({
      id: idOf.box(piece.id),
      kind: 'box',
      what: boxes === 1 ? 'Box' : `${boxes} boxes`,
      where: piece.name,
      minutes: boxes * boxMinutes,
      pieceId: piece.id,
      count: piece.count,
      after: after(...all),
    }),
  ]
}

/** Where pieces of a kind stand while nobody works on them, and on how many trays. */
export function shelfOf({ workshop, at, order }: Worked, piece: Piece) {
  const { day, boardMarginMm } = workshop.settings
  const icing = at.icing(piece.icingKindId ?? order.icingKindId)
  return { store: keptIn(icing), trays: pieceTrays(day, piece.shape, piece.count, boardMarginMm) }
}
