import type { Advice, Bag, Base, Batch, Plan, Remedy, Supply, Use } from '../../model/plan.ts'
import type { FittedPlacement } from '../demand.ts'
import type { Lookup } from '../lookup.ts'

/** All that earlier stages made, for the checks to look at. */
export interface Planned {
  at: Lookup
  placements: readonly FittedPlacement[]
  uses: readonly Use[]
  bags: readonly Bag[]
  conflicts: Plan['conflicts']
  batches: readonly Batch[]
  base: Base
  otherBases: readonly Base[]
  supplies: readonly Supply[]
  setOns: Plan['setOns']
}

/** One thing that can be wrong or better. Returns a piece of advice for every place where it is. */
export type AdviceCheck = (planned: Planned) => Advice[]

/** Builds one piece of advice. */
export function say(
  code: string,
  severity: Advice['severity'],
  about: Advice['about'],
  message: string,
  remedy: { label: string; change: Remedy } | null = null,
): Advice {
  return { code, severity, message, about, remedy }
}
