import { defineEntity, type InferEntity, p } from '@mikro-orm/core'
import type { Flower } from '#core/model/flower'
import type { IcingKind } from '#core/model/icing'
import type { Tip } from '#core/model/tip'
import type { BagStock, Settings } from '#core/model/workshop'

/** What the bakery says of a tip; `spec` only for a tip that is not in the catalogue. */
export const TipRow = defineEntity({
  name: 'TipRow',
  tableName: 'tips',
  properties: {
    id: p.string().primary().length(64),
    owned: p.integer(),
    stamp: p.string().length(40),
    spec: p.json<Omit<Tip, 'id'>>().nullable(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
})
export type TipRow = InferEntity<typeof TipRow>

export const BagRow = defineEntity({
  name: 'BagRow',
  tableName: 'bags',
  properties: {
    id: p.string().primary().length(64),
    owned: p.integer(),
    spec: p.json<Omit<BagStock, 'id' | 'owned'>>(),
    version: p.integer().version(),
  },
})
export type BagRow = InferEntity<typeof BagRow>

export const FlowerRow = defineEntity({
  name: 'FlowerRow',
  tableName: 'flowers',
  properties: {
    id: p.string().primary().length(64),
    spec: p.json<Flower>(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
})
export type FlowerRow = InferEntity<typeof FlowerRow>

export const IcingRow = defineEntity({
  name: 'IcingRow',
  tableName: 'icings',
  properties: {
    id: p.string().primary().length(64),
    spec: p.json<IcingKind>(),
    deletedAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
})
export type IcingRow = InferEntity<typeof IcingRow>

/** One row, id "bakery". */
export const SettingsRow = defineEntity({
  name: 'SettingsRow',
  tableName: 'settings',
  properties: {
    id: p.string().primary().length(16),
    values: p.json<Settings>(),
    /** Set once the demo bakery has been loaded, so that it is never loaded twice. */
    demoLoadedAt: p.datetime().nullable(),
    /** When the whole bakery was last saved as a backup. */
    backedUpAt: p.datetime().nullable(),
    version: p.integer().version(),
  },
})
export type SettingsRow = InferEntity<typeof SettingsRow>
