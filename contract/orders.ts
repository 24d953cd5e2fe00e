import { z } from 'zod'
import { orderFileSchema } from '#core/files/orderFile'
import { idSchema, nameSchema } from '#core/model/common'
import { orderSchema } from '#core/model/order'
import { planSchema } from '#core/model/plan'
import { endpoint } from './endpoint.ts'

/** An order as the list shows it. */
export const orderSummarySchema = z.object({
  id: idSchema,
  title: z.string(),
  customer: z.string(),
  collectAt: z.string(),
  pieces: z.number().int(),
  colours: z.array(z.string()),
  version: z.number().int(),
})
export type OrderSummary = z.infer<typeof orderSummarySchema>

/** What a stored order answers with: itself and the version to send back with the next change. */
export const storedOrderSchema = z.object({ order: orderSchema, version: z.number().int() })
export type StoredOrder = z.infer<typeof storedOrderSchema>

export const newOrderSchema = z.object({ title: nameSchema, collectAt: orderSchema.shape.collectAt })

export const orderEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/orders',
    summary: 'Every order, by due day',
    answer: z.array(orderSummarySchema),
  }),
  create: endpoint({
    method: 'post',
    path: '/orders',
    summary: 'Begin an empty order',
    body: newOrderSchema,
    answer: storedOrderSchema,
  }),
  read: endpoint({
    method: 'get',
    path: '/orders/:id',
    summary: 'One order, its version in ETag',
    answer: storedOrderSchema,
  }),
  replace: endpoint({
    method: 'put',
    path: '/orders/:id',
    summary: 'Save an order whole',
    body: orderSchema,
    answer: storedOrderSchema,
    versioned: true,
  }),
  remove: endpoint({ method: 'delete', path: '/orders/:id', summary: 'Delete an order; it can be restored' }),
  restore: endpoint({
    method: 'post',
    path: '/orders/:id/restore',
    summary: 'Bring a deleted order back',
    answer: storedOrderSchema,
  }),
  duplicate: endpoint({
    method: 'post',
    path: '/orders/:id/duplicate',
    summary: 'Copy an order',
    answer: storedOrderSchema,
  }),
  exportFile: endpoint({
    method: 'get',
    path: '/orders/:id/file',
    summary: 'The order as a Kanten order file',
    answer: orderFileSchema,
  }),
  importFile: endpoint({
    method: 'post',
    path: '/orders/import',
    summary: 'Take in a Kanten order file as a new order',
    body: orderFileSchema,
    answer: storedOrderSchema,
  }),
  plan: endpoint({
    method: 'get',
    path: '/orders/:id/plan',
    summary: 'The plan of an order',
    answer: planSchema,
  }),
  table: endpoint({
    method: 'get',
    path: '/orders/:id/plan/:table.csv',
    summary: 'One table of the plan as CSV: colours, bags, batches, base, supplies, demand',
  }),
}
