import type { BenchEvent, BenchStep, Frozen } from '../model/bench.ts'
import { type LogEntry, type LoggedFlower, logEntryVersion } from '../model/logEntry.ts'
import type { Use } from '../model/plan.ts'
import { bagSubject, bowlSubject } from './subjects.ts'
import { inOrder, type Tally } from './tally.ts'

/** What was left of something, in g. */
export interface Left {
  grams: number
  estimated: boolean
}

/** What was told while wrapping up, by what it was told of; of what was told twice the last word holds. */
export interface WrappedUp {
  left: ReadonlyMap<string, Left>
  short: ReadonlySet<string>
  roomC: number | null
  remark: string
}

export function wrappedUp(events: Iterable<BenchEvent>): WrappedUp {
  const left = new Map<string, Left>()
  const short = new Set<string>()
  let roomC: number | null = null
  let remark = ''
  for (const { stepId, kind, amount, note } of inOrder(events)) {
    if (kind === 'left') {
      if (amount === null) left.delete(stepId)
      else left.set(stepId, { grams: Math.max(0, amount), estimated: note !== null })
    }
    if (kind === 'short') {
      if (amount === 1) short.add(stepId)
      else short.delete(stepId)
    }
    if (kind === 'room') roomC = amount
    if (kind === 'remark') remark = note ?? ''
  }
  return { left, short, roomC, remark }
}

/** Who notes nothing for so long does something else, minutes. */
const IDLE_MINUTES = 15
const MINUTE_MS = 60_000

/**
 * Minutes that hands were at each step: for every pair of hands the time since what it noted before, as long as it was not away.
 * What is done while a timer runs is not told apart: it is noted in its own step.
 */
export function workedMinutes(events: Iterable<BenchEvent>): ReadonlyMap<string, number> {
  const last = new Map<string | null, number>()
  const minutes = new Map<string, number>()
  for (const { at, by, stepId } of inOrder(events)) {
    const now = Date.parse(at)
    const gap = (now - (last.get(by) ?? now)) / MINUTE_MS
    if (gap <= IDLE_MINUTES) minutes.set(stepId, (minutes.get(stepId) ?? 0) + gap)
    last.set(by, now)
  }
  return minutes
}

interface Worked {
  id: string
  orderId: string
  frozen: Frozen
}

/** The entry of the logbook that a run comes to, as far as it is. @param at local moment. */
export function logEntryOf(run: Worked, tally: Tally, events: readonly BenchEvent[], at: string): LogEntry {
  const { frozen } = run
  const { order, plan } = frozen
  const told = wrappedUp(events)
  const worked = workedMinutes(events)
  const notes = [...tally.of.values()].flatMap((s) => s.notes)
  const leftOf = (subject: string) => ({
    leftGrams: told.left.get(subject)?.grams ?? null,
    estimated: told.left.get(subject)?.estimated ?? false,
  })
  const ofSteps = [...worked].filter(([id]) => tally.of.has(id))
  return {
    ...{ schemaVersion: logEntryVersion, id: run.id, orderId: run.orderId, title: order.title, at },
    people: [...new Set(events.flatMap((e) => e.by ?? []))].sort(),
    roomC: told.roomC,
    batches: plan.batches.map((b) => {
      const colour = plan.colours.find((c) => c.id === b.colourId)!
      const ranOut = frozen.steps.some((s) => s.batchIds.includes(b.id) && tally.of.get(s.id)!.ranOut > 0)
      return {
        ...{
          id: b.id,
          colour: colour.name,
          hex: colour.hex,
          icingKindId: b.icingKindId,
          stiffness: b.stiffness,
        },
        ...{ plannedGrams: b.grams, ...leftOf(bowlSubject(b.id)) },
        ranShort: told.short.has(bowlSubject(b.id)) || ranOut,
      }
    }),
    bags: plan.bags.map((b) => ({
      ...{ number: b.number, label: b.label, plannedGrams: b.grams },
      ...leftOf(bagSubject(b.number)),
    })),
    flowers: flowersOf(frozen, tally, worked),
    plannedMinutes: plan.totals.handsOnMinutes,
    minutes: ofSteps.length > 0 ? ofSteps.reduce((sum, [, m]) => sum + m, 0) : null,
    remarks: [...notes, ...(told.remark.trim() ? [told.remark] : [])],
  }
}

/** Every flower of every kind of piece with the steps that it is piped in. */
function flowersOf(
  { order, plan, steps }: Frozen,
  tally: Tally,
  worked: ReadonlyMap<string, number>,
): LoggedFlower[] {
  const groups = new Map<string, { use: Use; steps: BenchStep[] }>()
  for (const step of steps) {
    if (!PIPED.has(step.kind)) continue
    for (const id of step.useIds) {
      const use = plan.uses.find((u) => u.id === id)
      if (!use || use.placedId === null) continue
      const key = `${use.pieceId} ${use.placedId}`
      const group = groups.get(key) ?? { use, steps: [] }
      if (!group.steps.includes(step)) group.steps.push(step)
      groups.set(key, group)
    }
  }
  return [...groups.values()].map(({ use, steps: own }) => {
    // a flower is piped when the last of its layers is: the step that is least far says how many are
    const share = Math.min(...own.map((s) => tally.of.get(s.id)!.count / s.wanted))
    const times = own.flatMap((s) => worked.get(s.id) ?? [])
    return {
      flowerId: use.flowerId,
      name: use.flowerName,
      piece: order.pieces.find((p) => p.id === use.pieceId)!.name,
      wanted: use.flowers,
      piped: Math.floor(share * (use.flowers + use.spares) + 1e-9),
      spoiled: own.reduce((sum, s) => sum + tally.of.get(s.id)!.spoiled, 0),
      minutes: times.length > 0 ? times.reduce((a, b) => a + b, 0) : null,
    }
  })
}

const PIPED: ReadonlySet<BenchStep['kind']> = new Set(['nails', 'inPlace', 'border'])
