import { settingOf } from '../icings/setting.ts'
import { timesOf } from '../icings/times.ts'
import type { BenchEvent, BenchStep, Frozen } from '../model/bench.ts'
import { askedSubject } from './subjects.ts'
import { inOrder, type Tally } from './tally.ts'

/** A question about the icing in a bag that has been filled for as long as such icing is good. */
export interface BagAsk {
  bag: number
  question: string
  /** What to answer, and what to do when it is not as it was. */
  fine: string
  changed: string
  remedy: string
}

const MINUTE_MS = 60_000

/**
 * What to ask before a step goes on: of each bag that it pipes from, whether its icing has slackened in the warm hand or crusted on the
 * bench, once it has been out for as long as its icing kind allows since it was filled or asked about.
 * @param now ms since 1970.
 */
export function bagAsk(
  step: BenchStep,
  { steps, plan, workshop }: Frozen,
  tally: Tally,
  events: Iterable<BenchEvent>,
  now: number,
): BagAsk | null {
  const asked = new Map<string, number>()
  for (const e of inOrder(events)) if (e.kind === 'asked') asked.set(e.stepId, Date.parse(e.at))
  for (const number of step.bags) {
    const bag = plan.bags.find((b) => b.number === number)
    const icing = workshop.icings.find((i) => i.id === bag?.icingKindId)
    const filled = steps.find((s) => s.kind === 'fill' && s.bags.includes(number))
    const filledAt = filled && tally.of.get(filled.id)!.doneAt
    if (!bag || !icing || !filledAt || step.kind === 'fill') continue
    const since = Math.max(filledAt, asked.get(askedSubject(number)) ?? 0)
    if (now - since < timesOf(icing).bagMinutes * MINUTE_MS) continue
    if (settingOf(icing) === 'drying')
      return {
        bag: number,
        question: `Bag ${number} has been open for a while. Has its icing crusted in the tip?`,
        fine: 'It flows',
        changed: 'It has crusted',
        remedy:
          'Clear the tip with a pin, press a little out, knead the bag. Keep the tip under a damp cloth.',
      }
    return {
      bag: number,
      question: `Bag ${number} wants ${bag.stiffness} icing. Squeeze a line: does it still stand as it did?`,
      fine: 'It stands',
      changed: 'It has slackened',
      remedy:
        'Lay the bag in the cold for ten minutes, knead it, try again; meanwhile go on with another bag.',
    }
  }
  return null
}
