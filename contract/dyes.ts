import { z } from 'zod'
import { hexSchema, idSchema } from '#core/model/common'
import { dyeSchema } from '#core/model/dye'
import { endpoint } from './endpoint.ts'

/** A bowl as it was mixed and as it came out: kept, and taught to the dyes in it. */
export const newMixSchema = z.object({
  orderId: idSchema.nullable(),
  colourId: idSchema,
  icingKindId: idSchema,
  grams: z.number().min(1, 'At least 1 g.').max(100000),
  /** What went in, drops for the whole bowl. */
  doses: z
    .array(z.object({ dyeId: idSchema, drops: z.number().min(0.01, 'More than nothing.').max(20000) }))
    .min(1, 'Say which dyes went in.')
    .max(8, 'At most eight dyes in one bowl.'),
  targetHex: hexSchema,
  observedHex: hexSchema,
})
export type NewMix = z.infer<typeof newMixSchema>

export const mixSchema = newMixSchema.extend({ id: idSchema, at: z.string() })
export type MixRecord = z.infer<typeof mixSchema>

export const dyeEndpoints = {
  saveDye: endpoint({
    method: 'put',
    path: '/dyes/:id',
    summary: 'Say whether a dye is owned, what it weighs and how it looks in icing',
    body: dyeSchema,
    answer: z.object({ version: z.number().int() }),
    versioned: true,
  }),
  addDye: endpoint({
    method: 'post',
    path: '/dyes',
    summary: "Add a bottle of the bakery's own",
    body: dyeSchema.omit({ id: true, source: true, learnt: true }),
    answer: dyeSchema,
  }),
  removeDye: endpoint({
    method: 'delete',
    path: '/dyes/:id',
    summary: "Take a bottle of the bakery's own out",
  }),
  mixes: endpoint({
    method: 'get',
    path: '/orders/:id/mixes',
    summary: 'How the bowls of an order came out, the newest first',
    answer: z.array(mixSchema),
  }),
  addMix: endpoint({
    method: 'post',
    path: '/mixes',
    summary: 'Keep how a bowl came out; its dyes learn from it',
    body: newMixSchema,
    answer: mixSchema,
  }),
  removeMix: endpoint({
    method: 'delete',
    path: '/mixes/:id',
    summary: 'Take a look at a bowl back; its dyes forget it',
  }),
}
