import { z } from 'zod'
import { idSchema } from '#core/common'
import { endpoint } from './endpoint.ts'

export const deletedKindSchema = z.enum(['orders', 'flowers', 'icings', 'tips', 'dyes'])
export type DeletedKind = z.infer<typeof deletedKindSchema>

/** Something deleted that can still be brought back. */
export const deletedThingSchema = z.object({
  kind: deletedKindSchema,
  id: idSchema,
  name: z.string(),
  /** What tells it apart: for an order whom it is for, for a tip its opening. */
  about: z.string(),
  /** When an order is due, local; null for anything else. */
  due: z.string().nullable(),
  deletedAt: z.string(),
})
export type DeletedThing = z.infer<typeof deletedThingSchema>

export const deletedEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/deleted',
    summary: 'Everything deleted that can be brought back, the latest first',
    answer: z.array(deletedThingSchema),
  }),
  restore: endpoint({
    method: 'post',
    path: '/deleted/:kind/:id/restore',
    summary: 'Bring it back, and what it is made with',
  }),
  purge: endpoint({
    method: 'delete',
    path: '/deleted/:kind/:id',
    summary: 'Delete it for good; refused while something, deleted or not, still uses it',
  }),
}
