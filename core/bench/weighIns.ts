import type { BenchEvent, BenchStep, Frozen } from '../model/bench.ts'
import { onScale } from '../units.ts'
import { inOrder } from './tally.ts'

/** Something that a step weighs in: how much is wanted, and what was taken last. */
export interface WeighedIn {
  name: string
  grams: number
  taken: number | null
}

/** What is weighed in at a step, one after the other: the ingredients of a base, or the icing that a bowl begins with. */
export function weighIns(step: BenchStep, frozen: Frozen, events: Iterable<BenchEvent>): WeighedIn[] {
  const taken = new Map<string, number>()
  for (const e of inOrder(events))
    if (e.stepId === step.id && e.kind === 'weighed' && e.amount !== null && e.note !== null)
      taken.set(e.note, e.amount)
  return wanted(step, frozen).map((w) => ({ ...w, taken: taken.get(w.name) ?? null }))
}

/** The ingredients of the base that a step makes, as much of each as goes into this make; none where it makes none. */
export function ingredientsOf(
  step: BenchStep,
  { plan }: Pick<Frozen, 'plan'>,
): { name: string; grams: number }[] {
  if (step.kind !== 'base') return []
  const base = [plan.base, ...plan.otherBases].find((b) => step.id.startsWith(`base ${b.kind} `))
  const share = base && step.grams ? step.grams / base.grams : 0
  return base?.ingredients.map(({ name, grams }) => ({ name, grams: grams * share })) ?? []
}

function wanted(step: BenchStep, frozen: Frozen): { name: string; grams: number }[] {
  const { scaleStepGrams } = frozen.workshop.settings
  if ((step.kind === 'mix' || step.kind === 'thin') && step.grams)
    return [
      {
        name: step.kind === 'mix' ? 'Icing in the bowl' : 'Icing taken',
        grams: onScale(step.grams, scaleStepGrams),
      },
    ]
  return ingredientsOf(step, frozen)
}
