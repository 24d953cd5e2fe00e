import { momentOf } from '../timeline/clock.ts'
import type { Timetable } from '../timeline/timetable.ts'
import { counted } from '../units.ts'
import type { Label } from './label.ts'
import { hexesOf, momentWords, type PrintOf } from './printOf.ts'

/** A label for every tray of flowers that are made ahead. */
export function trayLabels({ frozen, table: tableOf }: PrintOf): Label[] {
  const table = tableOf()
  const { order, plan, steps } = frozen
  let number = 0
  return steps
    .filter((s) => s.kind === 'cold')
    .flatMap((away) => {
      const piped = steps.filter((s) => s.kind === 'nails' && away.id.startsWith(s.id.replace(/ \d+$/, '')))
      const flowers = piped.reduce((sum, s) => Math.max(sum, s.wanted), 0)
      const colours = plan.uses
        .filter((u) => away.useIds.includes(u.id) || piped.some((s) => s.useIds.includes(u.id)))
        .flatMap((u) => u.parts.map((p) => p.colourId))
      const until = keepsUntil(table, away.id.replace(/ away$/, ''))
      const [place = '', trays = '1 tray'] = away.where.split(', ')
      const count = Math.max(1, Number.parseInt(trays, 10))
      return Array.from({ length: count }, (_, i): Label => {
        number += 1
        return {
          sort: 'Tray',
          big: String(number),
          title: away.what,
          hexes: hexesOf(frozen, [...new Set(colours)]),
          lines: [
            `${counted(flowers, 'flower')} in all, tray ${i + 1} of ${count}: ${place}`,
            away.at ? `made ${momentWords(frozen, away.at)}` : 'made today',
            ...(until === null ? [] : [`keep until ${momentWords(frozen, momentOf(until))}`]),
            order.title,
          ],
          tip: null,
          code: null,
        }
      })
    })
}

/** When the last of what an activity made leaves the cold, by the timetable. */
function keepsUntil(table: Timetable | null, activity: string): number | null {
  const ends = table?.stays.filter((s) => s.taskId?.replace(/ #\d+$/, '') === activity).map((s) => s.to) ?? []
  return ends.length > 0 ? Math.max(...ends) : null
}
