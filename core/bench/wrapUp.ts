import type { BenchEvent, BenchStep, Frozen } from '../model/bench.ts'
import { type LogEntry, type LoggedFlower, logEntryVersion } from '../model/logEntry.ts'
import type { Batch, Use } from '../model/plan.ts'
import { OTHERWISE } from './otherwise.ts'
import { askedSubject, bagSubject, bowlSubject } from './subjects.ts'
import { inOrder, type Tally, tally } from './tally.ts'

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
export function logEntryOf(run: Worked, counted: Tally, events: readonly BenchEvent[], at: string): LogEntry {
  const { frozen } = run
  const { order, plan } = frozen
  const told = wrappedUp(events)
  const worked = workedMinutes(events)
  const notes = [...counted.of.values()].flatMap((s) => s.notes)
  const leftOf = (subject: string) => ({
    leftGrams: told.left.get(subject)?.grams ?? null,
    estimated: told.left.get(subject)?.estimated ?? false,
  })
  const ofSteps = [...worked].filter(([id]) => counted.of.has(id))
  return {
    ...{ schemaVersion: logEntryVersion, id: run.id, orderId: run.orderId, title: order.title, at },
    people: [...new Set(events.flatMap((e) => e.by ?? []))].sort(),
    roomC: told.roomC,
    batches: plan.batches.map((b) => {
      const colour = plan.colours.find((c) => c.id === b.colourId)!
      const ranOut = frozen.steps.some((s) => s.batchIds.includes(b.id) && counted.of.get(s.id)!.ranOut > 0)
      return {
        ...{
          id: b.id,
          colour: colour.name,
          hex: colour.hex,
          icingKindId: b.icingKindId,
          stiffness: b.stiffness,
        },
        ...{ plannedGrams: b.grams, ...leftOf(bowlSubject(b.id)) },
        ...{ expectedGrams: expectedOf(b, frozen), stiffnessUsed: null, drops: [], stayedGrams: null },
        ranShort: told.short.has(bowlSubject(b.id)) || ranOut,
      }
    }),
    bags: plan.bags.map((b) => ({
      ...{ number: b.number, label: b.label, plannedGrams: b.grams, residueGrams: b.residueGrams },
      emptied: frozen.steps.some((s) => s.bags.includes(b.number) && counted.of.get(s.id)!.emptied > 0),
      ...leftOf(bagSubject(b.number)),
    })),
    flowers: flowersOf(frozen, counted, worked, weighedFlowers(events)),
    plannedMinutes: plan.totals.handsOnMinutes,
    minutes: ofSteps.length > 0 ? ofSteps.reduce((sum, [, m]) => sum + m, 0) : null,
    promised: plan.reserve.chanceShort,
    counted: true,
    opened: openedOf(frozen, counted, events),
    faults: [...new Set(notes.filter((note) => (OTHERWISE as readonly string[]).includes(note)))],
    remarks: [...notes, ...(told.remark.trim() ? [told.remark] : [])],
  }
}

/** Grams of a bowl by the shapes alone, before anything that was learnt. */
function expectedOf(bowl: Batch, { plan, workshop }: Frozen): number {
  const learnt = new Map(workshop.flowers.map((f) => [f.id, f.calibration]))
  return plan.uses
    .filter((use) => bowl.useIds.includes(use.id))
    .flatMap((use) => use.parts.map((part) => ({ use, part })))
    .filter(({ part }) => part.colourId === bowl.colourId)
    .reduce(
      (sum, { use, part }) =>
        sum + (part.piped + part.spoiled + part.practice) / (learnt.get(use.flowerId ?? '') ?? 1),
      0,
    )
}

/** The bags that were asked about, how long after they were filled, and whether they were still good. */
function openedOf(
  { plan, steps }: Frozen,
  counted: Tally,
  events: readonly BenchEvent[],
): LogEntry['opened'] {
  return [...inOrder(events)].flatMap(({ kind, stepId, amount, at }) => {
    if (kind !== 'asked') return []
    const bag = plan.bags.find((b) => askedSubject(b.number) === stepId)
    const filled = bag && steps.find((s) => s.kind === 'fill' && s.bags.includes(bag.number))
    const since = filled && counted.of.get(filled.id)!.doneAt
    if (!bag || !since) return []
    const minutes = (Date.parse(at) - since) / MINUTE_MS
    return minutes > 0 ? [{ icingKindId: bag.icingKindId, minutes, good: amount === 1 }] : []
  })
}

/** An entry for an order that nobody counted at the bench: everything as it was planned, to be corrected by hand. */
export function asPlanned(run: Worked, at: string): LogEntry {
  const entry = logEntryOf(run, tally(run.frozen.steps, []), [], at)
  return { ...entry, counted: false, flowers: entry.flowers.map((f) => ({ ...f, piped: f.wanted })) }
}

/** Every flower of every kind of piece with the steps that it is piped in. */
function flowersOf(
  { order, plan, steps, workshop }: Frozen,
  counted: Tally,
  worked: ReadonlyMap<string, number>,
  weighed: ReadonlyMap<string, NonNullable<LoggedFlower['weighed']>>,
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
    const share = Math.min(...own.map((s) => counted.of.get(s.id)!.count / s.wanted))
    // of a border nobody counts the beads: the pieces that have it
    const wanted = use.form === 'border' ? own[0]!.wanted : use.flowers
    const times = own.flatMap((s) => worked.get(s.id) ?? [])
    const learnt = workshop.flowers.find((f) => f.id === use.flowerId)
    const layers = plan.uses.filter((u) => u.pieceId === use.pieceId && u.placedId === use.placedId)
    const each = (of: (u: Use) => number) =>
      layers.reduce((sum, u) => sum + of(u), 0) / Math.max(1, use.flowers)
    return {
      flowerId: use.flowerId,
      name: use.flowerName,
      form: formOf(use),
      piece: order.pieces.find((p) => p.id === use.pieceId)!.name,
      wanted,
      piped: Math.floor(share * (wanted + use.spares) + 1e-9),
      spoiled: own.reduce((sum, s) => sum + counted.of.get(s.id)!.spoiled, 0),
      minutes: times.length > 0 ? times.reduce((a, b) => a + b, 0) : null,
      eachGrams: each((u) => u.parts.reduce((sum, p) => sum + p.piped, 0)) / (learnt?.calibration ?? 1),
      eachSeconds: each((u) => u.seconds) / (learnt?.pace ?? 1),
      weighed: own.reduce<LoggedFlower['weighed']>((found, s) => weighed.get(s.id) ?? found, null),
    }
  })
}

/** Flowers that are weighed together at the bench: enough for one that is heavier not to matter, few enough for a small plate. */
export const WEIGHED_TOGETHER = 5
/** What such a weight is noted under. */
export const FIVE_FLOWERS = 'five of them'

/** What was weighed of whole flowers, by step; the last weight holds. */
export function weighedFlowers(
  events: Iterable<BenchEvent>,
): ReadonlyMap<string, { count: number; grams: number }> {
  const found = new Map<string, { count: number; grams: number }>()
  for (const { stepId, kind, amount, note } of inOrder(events))
    if (kind === 'weighed' && note === FIVE_FLOWERS && amount !== null && amount > 0)
      found.set(stepId, { count: WEIGHED_TOGETHER, grams: amount })
  return found
}

/** Coats and words are no flowers, and have no step that pipes one. */
const formOf = ({ form }: Use): LoggedFlower['form'] =>
  form === 'coat' || form === 'words' ? 'flower' : form

const PIPED: ReadonlySet<BenchStep['kind']> = new Set(['nails', 'inPlace', 'border'])
