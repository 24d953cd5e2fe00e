import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { LogEntry } from '#core/model/logEntry'

/** An order as it was made. */
export const LogRow = defineEntity({
  name: 'LogRow',
  tableName: 'log_entries',
  properties: {
    id: p.string().primary().length(64),
    entry: p.json<LogEntry>(),
    version: p.integer(),
  },
})
export type LogRow = InferEntity<typeof LogRow>

/** A photograph of what came out, as small as the browser made it. */
export const PhotographRow = defineEntity({
  name: 'PhotographRow',
  tableName: 'photographs',
  properties: {
    id: p.string().primary().length(64),
    entryId: p.string().length(64).index(),
    type: p.string().length(32),
    image: p.blob(),
    addedAt: p.datetime(),
  },
})
export type PhotographRow = InferEntity<typeof PhotographRow>
