import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { Dye } from '#core/model/dye'

/** What the bakery says of a dye of the catalogue, or a bottle of its own. What mixing taught is worked out from mixes. */
export const DyeRow = defineEntity({
  name: 'DyeRow',
  tableName: 'dyes',
  properties: {
    id: p.string().primary().length(64),
    spec: p.json<Omit<Dye, 'learnt'>>(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
})
export type DyeRow = InferEntity<typeof DyeRow>

/** Bowls as they were mixed and came out; no reference to an order row, so that they outlive it. */
export const MixRow = defineEntity({
  name: 'MixRow',
  tableName: 'mixes',
  properties: {
    id: p.string().primary().length(64),
    orderId: p.string().length(64).nullable().index(),
    colourId: p.string().length(64),
    icingKindId: p.string().length(64),
    grams: p.double().$type<number>(),
    doses: p.json<{ dyeId: string; drops: number }[]>(),
    targetHex: p.string().length(7),
    observedHex: p.string().length(7),
    at: p.datetime(),
  },
})
export type MixRow = InferEntity<typeof MixRow>
