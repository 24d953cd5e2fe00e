import type { Bag, Plan } from '../model/plan.ts'

/** What the stage of bags makes of an order. */
export interface BagStage {
  bags: Bag[]
  sequence: Plan['sequence']
  conflicts: Plan['conflicts']
}
