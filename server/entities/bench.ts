import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { BenchEvent, Frozen } from '#core/model/bench'

/** An order being worked: what was frozen when work on it began, or when a new plan was taken in. */
export const RunRow = defineEntity({
  name: 'RunRow',
  tableName: 'runs',
  properties: {
    id: p.string().primary().length(64),
    orderId: p.string().length(64).unique(),
    frozen: p.json<Frozen>(),
    /** The version of the plan's format that it was frozen in. */
    planVersion: p.integer(),
    begunAt: p.datetime(),
    version: p.integer(),
  },
})
export type RunRow = InferEntity<typeof RunRow>

/** What a tablet noted; rows are only ever added. */
export const BenchEventRow = defineEntity({
  name: 'BenchEventRow',
  tableName: 'bench_events',
  properties: {
    id: p.string().primary().length(64),
    runId: p.string().length(64).index(),
    /** Grows with every event that comes in: what comes after it has not been heard yet. */
    number: p.bigint('number'),
    event: p.json<BenchEvent>(),
    heardAt: p.datetime(),
  },
})
export type BenchEventRow = InferEntity<typeof BenchEventRow>
