import { layPages, type Stamp } from '../guides/page.ts'
import { practiceStamp } from '../guides/practice.ts'
import { beforeOrder } from '../practice/beforeOrder.ts'
import { drillFor } from '../practice/drillFor.ts'
import { idealOf } from '../practice/ideal.ts'
import { a4 } from './labelPages.ts'
import { nothing, type Print } from './print.ts'
import type { PrintOf } from './printOf.ts'

/** The drills before an order to lie under parchment: those that are in its timeline, or else those that do most for it. */
export function practiceSheets({ frozen: { order, plan, workshop } }: PrintOf): Print {
  const { practice, hand } = workshop.settings
  const wanted = order.drills.length > 0 ? order.drills : beforeOrder(plan.uses, workshop, () => [])
  const stamps = wanted.flatMap(({ drill }): Stamp[] => {
    const made = drillFor(drill, workshop, practice, { hand })
    return made ? [practiceStamp(idealOf(made, practice, false))] : []
  })
  if (stamps.length === 0) return nothing('Practice sheets', 'Nothing in this order is practised.')
  return {
    kind: 'pages',
    title: 'Practice sheets',
    notes: [],
    pages: layPages(stamps, 'Practice sheets').map(a4),
  }
}
