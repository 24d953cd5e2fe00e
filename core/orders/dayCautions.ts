import type { Order } from '../model/order.ts'
import type { Plan } from '../model/plan.ts'
import type { Workshop } from '../model/workshop.ts'
import { bagCount } from '../plan/counts.ts'
import { counted, formatMinutes } from '../units.ts'

/** A minute or two more are within what anybody can say. */
const WORTH_MINUTES = 3
const HOUR_MS = 3_600_000

/** What speaks against working these orders together: more bags or hands than one by one, and due days that lie too far apart. */
export function dayCautions(
  orders: readonly Order[],
  day: Plan,
  apart: readonly Plan[],
  workshop: Workshop,
): string[] {
  const sum = (of: (plan: Plan) => number) => apart.reduce((all, plan) => all + of(plan), 0)
  const said: string[] = []
  const bags = bagCount(day.bags) - sum((p) => bagCount(p.bags))
  if (bags > 0) said.push(`Together they take ${counted(bags, 'bag')} more than one by one.`)
  const minutes = day.totals.handsOnMinutes - sum((p) => p.totals.handsOnMinutes)
  if (minutes > WORTH_MINUTES) said.push(`Together they take ${formatMinutes(minutes)} more of hands.`)
  return [...said, ...keepingCautions(orders, day, workshop)]
}

/** One sentence for each icing that would have to keep from the first due time to the last for longer than it does. */
function keepingCautions(orders: readonly Order[], day: Plan, workshop: Workshop): string[] {
  const due = orders.map((o) => Date.parse(`${o.collectAt}Z`)).sort((a, b) => a - b)
  const hours = due.length < 2 ? 0 : (due.at(-1)! - due[0]!) / HOUR_MS
  return [day.base, ...day.otherBases].flatMap((made) => {
    const icing = workshop.icings.find((i) => i.id === made.kind)
    if (!icing || made.grams === 0 || hours <= icing.holds.roomHours) return []
    const { roomHours, coldDays } = icing.holds
    const gap = hours < 48 ? `${Math.round(hours)} h` : counted(Math.round(hours / 24), 'day')
    const keeps = `${icing.name} keeps about ${roomHours} h at room temperature and ${counted(coldDays, 'day')} cold`
    return hours > 24 * coldDays
      ? [`The last is due ${gap} after the first, and ${keeps}: mix them on different days.`]
      : [
          `The last is due ${gap} after the first, and ${keeps}: keep the rest cold. Your food-safety plan decides.`,
        ]
  })
}
