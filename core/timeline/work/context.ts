import type { Order } from '../../model/order.ts'
import type { Plan, Use } from '../../model/plan.ts'
import type { Workshop } from '../../model/workshop.ts'
import { type Lookup, lookUp } from '../../plan/lookup.ts'
import { STAGE, stageOf } from '../../plan/work/stages.ts'

/** An order with its plan, as the activities are made of it. */
export interface Worked {
  at: Lookup
  order: Order
  workshop: Workshop
  plan: PlanOfWork
  use(id: string): Use
  /** Colour in the bowl at a step of a chain of colours; the chain's colours in their order, none where bowls are separate. */
  chain: string[]
}
/** What the timetable reads of a plan. */
export type PlanOfWork = Pick<
  Plan,
  'uses' | 'bags' | 'batches' | 'base' | 'otherBases' | 'sequence' | 'setOns' | 'colours'
>

export function worked(order: Order, plan: PlanOfWork, workshop: Workshop): Worked {
  const uses = new Map(plan.uses.map((u) => [u.id, u]))
  return {
    at: lookUp(order, workshop),
    order,
    workshop,
    plan,
    use: (id) => uses.get(id)!,
    chain: order.mixing.school === 'carryOver' ? order.mixing.chain.map((c) => c.colourId) : [],
  }
}

export const sum = <T>(items: readonly T[], of: (item: T) => number): number =>
  items.reduce((all, one) => all + of(one), 0)

/** Ids of activities, made of what they are about. */
export const idOf = {
  base: (kindId: string, make: number) => `base ${kindId} ${make}`,
  mix: (kindId: string, colourId: string) => `mix ${kindId} ${colourId}`,
  fill: (kindId: string, colourIds: readonly string[], pass: string | null) =>
    ['fill', kindId, ...colourIds, ...(pass ? [`in ${pass}`] : [])].join(' '),
  practise: (drill: string) => `practise ${drill}`,
  spread: (pieceId: string, layer: string) => `spread ${pieceId} ${layer}`,
  stack: (pieceId: string) => `stack ${pieceId}`,
  pipe: (pieceId: string, placedId: string, pass: string | null) =>
    ['pipe', pieceId, placedId, ...(pass ? [`in ${pass}`] : [])].join(' '),
  work: (pieceId: string, placedId: string) => `work ${pieceId} ${placedId}`,
  lift: (pieceId: string, placedId: string) => `lift ${pieceId} ${placedId}`,
  setOn: (pieceId: string, when: string) => `put-on ${pieceId} ${when}`,
  box: (pieceId: string) => `box ${pieceId}`,
  wash: 'wash up',
}

/** What a use belongs to on its piece: a flower as it is placed there, or all words, or all stems. */
export const thingOf = (use: Use): string => use.placedId ?? use.form

/** What is spread on a piece: in which stage, and in what words. */
export const SPREADS: readonly { stage: number; id: string; what: string }[] = [
  { stage: STAGE.filling, id: 'filling', what: 'Filling' },
  { stage: STAGE.crumbCoat, id: 'crumb-coat', what: 'Crumb coat' },
  { stage: STAGE.coat, id: 'coat', what: 'Coat' },
]

/** The activity in which a use is spread. */
export const spreadId = (use: Use): string =>
  idOf.spread(use.pieceId, SPREADS.find((s) => s.stage === stageOf(use))!.id)
