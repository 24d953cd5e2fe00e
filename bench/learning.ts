import fc from 'fast-check'
import { timesOf } from '#core/icings/times'
import { learn } from '#core/logbook/learn/index'
import { type LogEntry, logEntrySchema, logEntryVersion } from '#core/model/logEntry'
import type { Order } from '#core/model/order'
import type { Workshop } from '#core/model/workshop'
import { demand } from '#core/plan/demand'
import { lookUp } from '#core/plan/lookup'
import { imagine, reserve } from '#core/plan/reserve'
import { orders } from '#core/plan/testing'
import { needsOf } from '#core/promise/needs'
import { chancesOf, lastingOf, multiplesFor, scopes } from '#core/promise/promise'
import { thrown } from '#core/promise/testing'
import { seeded } from '#core/random'
import type { Benchmark } from './benchmark.ts'

const SEEDED = 6
const THROWN = 40_000
const CHANCES = [0.05, 0.01]

/** What the logbook teaches, and whether chances are as they are said. */
export function learningBenchmarks(demo: Order, workshop: Workshop): Benchmark[] {
  const entries = season(workshop, 500)
  const records = { entries, weighings: [], setBack: {} }
  return [
    {
      id: 'learn-1000',
      what: 'a thousand records to all learnt figures',
      unit: 'ms',
      against: 'reading them',
      run: () => void learn(records, workshop, (i) => timesOf(i).bagMinutes),
      baseline: () => void JSON.parse(JSON.stringify(entries)),
    },
    {
      id: 'season-risk',
      what: 'largest gap between a chance that is said and the same thrown, over seeded orders; the aim is 1',
      unit: 'percentage points',
      against: 'none: the aim is 1',
      measure: () =>
        Math.max(
          ...[demo, ...fc.sample(orders, { numRuns: SEEDED, seed: 5 })].map((order) => gap(order, workshop)),
        ),
    },
  ]
}

/** The largest gap of any colour or of the order, over both promises and the chances that are mostly chosen, in points. */
function gap(order: Order, workshop: Workshop): number {
  const at = lookUp(order, workshop)
  const { cells, lots } = imagine(at, reserve(at, demand(at).uses))
  const lasting = lastingOf(cells, needsOf(lots, cells.length))
  return Math.max(
    ...scopes.flatMap((scope) =>
      CHANCES.map((chance) => {
        const multiples = multiplesFor(lasting, scope, chance)
        const said = chancesOf(lasting, multiples)
        const found = thrown(cells, lots, multiples, lasting.strays, lasting.colourIds, THROWN)
        const gaps = said.colours.map((p, c) => Math.abs(p - found.colours[c]!))
        return 100 * Math.max(...gaps, Math.abs(said.order - found.order))
      }),
    ),
  )
}

/** Days with two weighed and timed flowers each. */
function season({ flowers }: Workshop, days: number): LogEntry[] {
  const random = seeded(9)
  const kinds = flowers.slice(0, 20)
  return Array.from({ length: days }, (_, n) =>
    logEntrySchema.parse({
      ...{ schemaVersion: logEntryVersion, id: `e${n}`, orderId: null, title: `Day ${n}` },
      at: new Date(Date.UTC(2026, 0, 1 + n)).toISOString().slice(0, 16),
      ...{ people: [n % 2 ? 'Ada' : 'Bea'], roomC: null, batches: [], bags: [], remarks: [] },
      ...{ plannedMinutes: null, minutes: null },
      flowers: [0, 1].map((k) => ({
        ...{ flowerId: kinds[(n * 3 + k * 7) % kinds.length]!.id, name: 'A flower', piece: 'Cupcakes' },
        ...{ wanted: 24, piped: 24, spoiled: 1, minutes: 20 + 10 * random(), eachGrams: 6, eachSeconds: 60 },
        weighed: { count: 5, grams: 24 + 12 * random() },
      })),
    }),
  )
}
