import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { PracticeTry } from '#core/model/practiceTry'

/** A try at a drill; it never changes. */
export const PracticeRow = defineEntity({
  name: 'PracticeRow',
  tableName: 'practice_tries',
  properties: {
    id: p.string().primary().length(64),
    /** Tries of one minute come as they were made. */
    number: p.bigint('number').autoincrement(),
    made: p.json<PracticeTry>(),
  },
})
export type PracticeRow = InferEntity<typeof PracticeRow>
