import type { EntityManager } from '@mikro-orm/postgresql'
import type { PracticeSettings } from '#core/model/practice'
import { type PracticeTry, practiceTryVersion } from '#core/model/practiceTry'
import { judge } from '#core/practice/advice'
import { type DrillName, drillNamed } from '#core/practice/drills'
import type { HandFault } from '#core/practice/faults'
import { idealOf } from '#core/practice/ideal'
import { layTrace } from '#core/practice/lay'
import { BEGINNER, EXPERT, onTheWay, tryOf } from '#core/practice/madeUp'
import { kept, pack } from '#core/practice/pack'
import { read } from '#core/practice/read'
import type { Senses } from '#core/practice/senses'
import { PracticeRow } from './entities/practice.ts'

/** What the demo bakery has practised: how often, and how far each drill has come, 0 to 1. */
const PRACTISED: readonly { drill: DrillName; tries: number; from: number; to: number; fault?: HandFault }[] =
  [
    { drill: 'shells', tries: 12, from: 0.1, to: 0.75, fault: 'late' },
    { drill: 'petals', tries: 4, from: 0.3, to: 0.7 },
    { drill: 'zigzag', tries: 3, from: 0.5, to: 0.9 },
    { drill: 'rosette', tries: 2, from: 0.4, to: 0.6 },
  ]

const SENSES: Senses = { squeeze: 'full', height: false, nail: true }
const DAY_MS = 86_400_000

/** Tries of a made-up hand over the last days, judged as any. */
export function demoTries(settings: PracticeSettings, today: Date): PracticeTry[] {
  return PRACTISED.flatMap(({ drill: name, tries, from, to, fault }, d) => {
    const ideal = idealOf(drillNamed(name, settings), settings, false)
    return Array.from({ length: tries }, (_, n): PracticeTry => {
      const share = tries > 1 ? n / (tries - 1) : 1
      const hand = onTheWay(BEGINNER, EXPERT, from + (to - from) * share)
      const faults = fault ? ([[fault, 1 - 0.6 * share]] as const) : []
      const trace = tryOf(ideal.drill, 40 * d + n + 1, hand, faults).map(kept)
      const reads = read(ideal.drill, ideal.outlet, trace, layTrace(trace, ideal.outlet, ideal.middle))
      const { score, advice } = judge(ideal, reads, SENSES, settings.sureAt)
      const day = new Date(today.getTime() - (tries - n) * DAY_MS - today.getTimezoneOffset() * 60_000)
      return {
        ...{ schemaVersion: practiceTryVersion, id: `demo-${name}-${n + 1}`, drill: name },
        ...{ label: ideal.drill.label, at: `${day.toISOString().slice(0, 10)}T16:${20 + d}`, person: '' },
        ...{ opening: ideal.drill.opening, stiffness: ideal.drill.stiffness, gentle: false, hand: 'right' },
        ...{ senses: SENSES, marks: score.total, parts: score.parts, says: advice.says },
        ...{ headline: advice.headline, trace: pack(trace) },
      }
    })
  })
}

/** Loads them; those that are there already stay. */
export async function loadTries(em: EntityManager, settings: PracticeSettings, today: Date): Promise<void> {
  for (const made of demoTries(settings, today)) em.create(PracticeRow, { id: made.id, made })
  await em.flush()
}
