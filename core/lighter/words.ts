import type { Order } from '../model/order.ts'
import type { Use } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { demand } from '../plan/demand.ts'
import { changeWords as tipWords, touchedUses } from '../plan/fewer/words.ts'
import { lookUp } from '../plan/lookup.ts'
import { formatLength } from '../units.ts'
import type { LighterChange } from './change.ts'
import { colourApart } from './moves.ts'

/** A change in words, as a decorator would say it to another. */
export function changeWords(order: Order, workshop: Workshop, change: LighterChange): string {
  const length = (mm: number) => formatLength(mm, workshop.settings.lengths)
  const colour = (id: string) => order.colours.find((c) => c.id === id)
  if (change.kind === 'colour') {
    const [from, into] = [colour(change.fromId), colour(change.intoId)]
    if (!from || !into) return 'One colour less'
    return `${from.name} piped in ${into.name}: one colour less, ΔE ${colourApart(from.hex, into.hex).toFixed(0)} apart`
  }
  if (change.kind === 'tips') {
    const uses = new Map<string, Use>(demand(lookUp(order, workshop)).uses.map((u) => [u.id, u]))
    return tipWords(
      change.changes,
      touchedUses(
        change.changes.filter((c) => uses.has(c.useId)),
        uses,
      ),
      workshop,
    )
  }
  const piece = order.pieces.find((p) => p.id === change.pieceId)
  const placed = piece?.flowers.find((f) => f.id === change.placedId)
  const flower = workshop.flowers.find((f) => f.id === placed?.flowerId)
  const on = `${flower?.name ?? 'A flower'} on ${piece?.name ?? 'a piece'}`
  switch (change.kind) {
    case 'off':
      return `${on}: left out`
    case 'painted':
      return `${on}: what is ${order.colours.find((c) => c.hex === change.hex)?.name ?? 'fine'} painted on with food colour, without a bowl and a bag`
    case 'size':
      return `${on}: ${length(change.sizeMm)} wide, so fewer of them`
    case 'rows': {
      const names = change.leftOut.map(
        (id) => flower?.layers.find((l) => l.id === id)?.name.toLowerCase() ?? id,
      )
      return `${on}: without ${names.join(', ')}`
    }
    case 'fewer':
      return `${on}: ${Math.round(100 * change.share)} % of them${change.sizeMm === null ? '' : `, each ${length(change.sizeMm)} wide`}`
    case 'flower': {
      const other = workshop.flowers.find((f) => f.id === change.flowerId)
      return `${on}: ${other?.name ?? 'another flower'} instead${change.sizeMm === null ? '' : `, ${length(change.sizeMm)}`}${other?.setting === 'inPlace' && flower?.setting === 'nail' ? ', piped in place' : ''}`
    }
  }
}
