import { z } from 'zod'
import { flowerFileSchema } from '#core/files/flowerFile'
import { flowerSchema } from '#core/model/flower'
import { icingKindSchema } from '#core/model/icing'
import { ownedTipSchema, tipSchema } from '#core/model/tip'
import { bagStockSchema, settingsSchema, workshopSchema } from '#core/model/workshop'
import { endpoint } from './endpoint.ts'

const version = z.number().int()

export const learntSchema = z.object({
  figures: z.array(
    z.object({
      key: z.string(),
      kind: z.enum(['grams', 'spread', 'seconds', 'spoiled', 'residue', 'bowl', 'open']),
      name: z.string(),
      start: z.number(),
      now: z.number(),
      band: z.number().nullable(),
      records: z.number().int(),
    }),
  ),
  aside: z.array(z.object({ entryId: z.string(), title: z.string(), why: z.string() })),
})

/** Everything a plan needs of the bakery; versions by id are what If-Match wants. */
export const storedWorkshopSchema = z.object({
  workshop: workshopSchema,
  /** What records have taught of weights, by flower: its own, and what other flowers tell of the same hand and strokes. */
  calibrations: z.record(
    z.string(),
    z.object({ factor: z.number(), spread: z.number(), band: z.number(), weighings: z.number().int() }),
  ),
  /** What they have taught of seconds and of spoiling, by flower. */
  taught: z.object({ pace: z.record(z.string(), z.number()), spoiled: z.record(z.string(), z.number()) }),
  /** Every learnt figure, and records that nothing is learnt from. */
  learnt: learntSchema,
  versions: z.object({
    settings: version,
    tips: z.record(z.string(), version),
    bags: z.record(z.string(), version),
    flowers: z.record(z.string(), version),
    icings: z.record(z.string(), version),
    dyes: z.record(z.string(), version),
  }),
  /** Rows that this program cannot read: left out of the workshop, kept in the database. */
  unreadable: z.array(z.object({ kind: z.string(), id: z.string(), why: z.string() })),
})
export type StoredWorkshop = z.infer<typeof storedWorkshopSchema>

/** How many of a tip are owned, and what is stamped on it. */
export const tipCountSchema = ownedTipSchema.pick({ owned: true, stamp: true })
export type TipCount = z.infer<typeof tipCountSchema>

const saved = z.object({ version })

export const workshopEndpoints = {
  read: endpoint({
    method: 'get',
    path: '/workshop',
    summary: 'Tips, flowers, icing kinds, bags and settings',
    answer: storedWorkshopSchema,
  }),
  saveSettings: endpoint({
    method: 'put',
    path: '/settings',
    summary: 'Save the settings',
    body: settingsSchema,
    answer: saved,
    versioned: true,
  }),
  countTip: endpoint({
    method: 'put',
    path: '/tips/:id',
    summary: 'Say how many of a tip are owned, and its stamp',
    body: tipCountSchema,
    answer: saved,
    versioned: true,
  }),
  addTip: endpoint({
    method: 'post',
    path: '/tips',
    summary: "Add a tip of the bakery's own, by its opening",
    body: tipSchema.omit({ id: true }).extend(tipCountSchema.shape),
    answer: ownedTipSchema,
  }),
  removeTip: endpoint({ method: 'delete', path: '/tips/:id', summary: "Delete a tip of the bakery's own" }),
  saveBag: endpoint({
    method: 'put',
    path: '/bags/:id',
    summary: 'Save a size of bag',
    body: bagStockSchema,
    answer: saved,
    versioned: true,
  }),
  saveFlower: endpoint({
    method: 'put',
    path: '/flowers/:id',
    summary: "Save a flower of the bakery's own",
    body: flowerSchema,
    answer: saved,
    versioned: true,
  }),
  createFlower: endpoint({
    method: 'post',
    path: '/flowers',
    summary: 'Begin a flower of your own from nothing',
    body: z.object({ form: flowerSchema.shape.form }),
    answer: flowerSchema,
  }),
  copyFlower: endpoint({
    method: 'post',
    path: '/flowers/:id/copy',
    summary: "Copy a flower into the bakery's own",
    answer: flowerSchema,
  }),
  exportFlower: endpoint({
    method: 'get',
    path: '/flowers/:id/file',
    summary: 'A flower as a Kanten flower file',
    answer: flowerFileSchema,
  }),
  importFlower: endpoint({
    method: 'post',
    path: '/flowers/import',
    summary: "Take a Kanten flower file in as a flower of the bakery's own",
    body: flowerFileSchema,
    answer: flowerSchema,
  }),
  removeFlower: endpoint({
    method: 'delete',
    path: '/flowers/:id',
    summary: "Delete a flower of the bakery's own; refused while an order uses it",
  }),
  saveIcing: endpoint({
    method: 'put',
    path: '/icings/:id',
    summary: "Save an icing kind of the bakery's own",
    body: icingKindSchema,
    answer: saved,
    versioned: true,
  }),
  copyIcing: endpoint({
    method: 'post',
    path: '/icings/:id/copy',
    summary: "Copy an icing kind into the bakery's own",
    answer: icingKindSchema,
  }),
  removeIcing: endpoint({
    method: 'delete',
    path: '/icings/:id',
    summary: "Delete an icing kind of the bakery's own; refused while an order uses it",
  }),
}
