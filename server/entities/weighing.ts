import { defineEntity, type InferEntity, p } from '@mikro-orm/core'

/** Flowers put on the scale; no reference to a flower row, because catalogue flowers have none. */
export const WeighingRow = defineEntity({
  name: 'WeighingRow',
  tableName: 'weighings',
  properties: {
    id: p.string().primary().length(64),
    flowerId: p.string().length(64).index(),
    at: p.datetime(),
    count: p.integer(),
    grams: p.double().$type<number>(),
    icingKindId: p.string().length(64),
    note: p.text(),
    computedGrams: p.double().$type<number>(),
  },
})
export type WeighingRow = InferEntity<typeof WeighingRow>
