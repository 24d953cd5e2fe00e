import type { BenchEvent, BenchStep } from '../model/bench.ts'
import { isSubject } from './subjects.ts'

/** How far a step is. */
export interface Standing {
  /** Taps less those taken back; never less than none. */
  count: number
  spoiled: number
  /** Bags emptied before what they were filled for was done, and bowls that ran out. */
  emptied: number
  ranOut: number
  done: boolean
  /** When it became done, ms since 1970 by the clock of whoever did the last of it; null while it is not. */
  doneAt: number | null
  /** Who has taken it, or works on it. */
  by: string | null
  /** Last weight that was taken in it, in grams. */
  weighed: number | null
  notes: string[]
}

/** How far a run is: each step by its id, and what was noted of steps that it does not have. */
export interface Tally {
  of: ReadonlyMap<string, Standing>
  /** Events of steps that the plan has no more: nothing of them is lost, and nothing is counted. */
  strays: BenchEvent[]
}

const NOTHING: Standing = {
  ...{ count: 0, spoiled: 0, emptied: 0, ranOut: 0, done: false, doneAt: null, by: null, weighed: null },
  notes: [],
}
export const notBegun = (): Standing => ({ ...NOTHING, notes: [] })

/** Events in one order, whatever order they were heard in, each once. */
export function inOrder(events: Iterable<BenchEvent>): BenchEvent[] {
  const once = new Map<string, BenchEvent>()
  for (const e of events) if (!once.has(e.id)) once.set(e.id, e)
  return [...once.values()].sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0,
  )
}

/**
 * What has been done so far, from all that was noted. Taps are summed, so that tablets that have not heard of each other come to the same
 * count once they have; of what excludes itself, done or again, taken or left, the last word by the clock holds.
 */
export function tally(steps: readonly BenchStep[], events: Iterable<BenchEvent>): Tally {
  const byId = new Map(steps.map((s) => [s.id, s]))
  const of = new Map(steps.map((s) => [s.id, notBegun()]))
  const net = new Map<string, number>()
  const strays: BenchEvent[] = []
  for (const event of inOrder(events)) {
    const step = byId.get(event.stepId)
    const standing = of.get(event.stepId)
    if (!step || !standing) {
      if (!isSubject(event.stepId)) strays.push(event)
      continue
    }
    const sum = net.get(step.id) ?? 0
    if (event.kind === 'tap') net.set(step.id, sum + 1)
    if (event.kind === 'back') net.set(step.id, sum - 1)
    note(standing, event)
    const before = standing.done
    standing.count = Math.max(0, net.get(step.id) ?? 0)
    const all = standing.count >= step.wanted
    // what was said to be enough stays so when a tap comes late
    if (event.kind === 'done' || (event.kind === 'tap' && all)) standing.done = true
    else if (event.kind === 'again' || (event.kind === 'back' && !all)) standing.done = false
    if (standing.done && !before) standing.doneAt = Date.parse(event.at)
    if (!standing.done) standing.doneAt = null
  }
  return { of, strays }
}

function note(standing: Standing, event: BenchEvent): void {
  const by = event.amount ?? 1
  switch (event.kind) {
    case 'spoiled':
      standing.spoiled += by
      break
    case 'bagEmpty':
      standing.emptied += by
      break
    case 'ranOut':
      standing.ranOut += by
      break
    case 'take':
      standing.by = event.by
      break
    case 'leave':
      standing.by = null
      break
    case 'weighed':
      standing.weighed = event.amount
      break
    case 'otherwise':
      if (event.note) standing.notes.push(event.note)
      break
  }
}
