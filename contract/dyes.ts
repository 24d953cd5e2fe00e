import { z } from 'zod'
import { type LookRecord, lookSchema } from '#core/logbook/look'
import { dyeSchema } from '#core/model/dye'
import { endpoint } from './endpoint.ts'

/** What a person says of a bowl; the server adds when. */
export const newMixSchema = lookSchema.omit({ id: true, at: true })
export type NewMix = z.infer<typeof newMixSchema>

export type MixRecord = LookRecord

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
    summary: "Delete a bottle of the bakery's own",
  }),
  mixes: endpoint({
    method: 'get',
    path: '/orders/:id/mixes',
    summary: 'How the bowls of an order came out, the newest first',
    answer: z.array(lookSchema),
  }),
  addMix: endpoint({
    method: 'post',
    path: '/mixes',
    summary: 'Keep how a bowl came out; its dyes learn from it',
    body: newMixSchema,
    answer: lookSchema,
  }),
  removeMix: endpoint({
    method: 'delete',
    path: '/mixes/:id',
    summary: 'Take a look at a bowl back; its dyes forget it',
  }),
}
