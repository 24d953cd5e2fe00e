import type { Advice } from '../../model/plan.ts'
import { allergens, empty } from './brief.ts'
import type { AdviceCheck, Planned } from './check.ts'
import { closeColours, deepColours, tinyBatches, unchosen } from './colours.ts'
import { handStrain, missingTips, sharedTips, shortStock, tipConflicts } from './drawer.ts'
import { tooTallForBox, willNotWork } from './geometry.ts'
import { batchCrusts, icingCannot, widerThanNail } from './icing.ts'
import { noCoat, notPlaced, tooMany, tooWide } from './pieces.ts'
import { putOn } from './setOns.ts'

/** Every check, in the order of work. */
const checks: readonly AdviceCheck[] = [
  empty,
  allergens,
  putOn,
  icingCannot,
  batchCrusts,
  tooWide,
  tooMany,
  notPlaced,
  widerThanNail,
  willNotWork,
  tooTallForBox,
  noCoat,
  unchosen,
  closeColours,
  deepColours,
  tinyBatches,
  missingTips,
  sharedTips,
  tipConflicts,
  shortStock,
  handStrain,
]

const rank: Record<Advice['severity'], number> = { stop: 0, decide: 1, note: 2 }

/** Cautions, conflicts and doubtful choices, the gravest first. */
export function advice(planned: Planned): Advice[] {
  return checks.flatMap((check) => check(planned)).sort((a, b) => rank[a.severity] - rank[b.severity])
}
