import { z } from 'zod'
import { idSchema, nameSchema } from '#core/common'
import { orderFileSchema } from '#core/files/orderFile'
import { orderFields, orderSchema } from '#core/model/order'
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

const moment = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2})?$/, 'Use a day like 2026-11-28, or a day and time.')

/** Which orders to list. Days are compared as they are written, in the bakery's own time. */
export const orderListQuerySchema = z.object({
  /** Due at this moment or later. */
  from: moment.optional(),
  /** Due before this moment. */
  before: moment.optional(),
  /** Part of the title or the customer's name. */
  search: z.string().trim().max(80, 'At most 80 characters.').optional(),
  /** The latest due day first. */
  latestFirst: z.literal('1', 'Say 1, or leave it out.').optional(),
  /** What the page before gave as `next`. */
  after: z
    .string()
    .regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}~[A-Za-z0-9-]{1,64}$/, 'Use what the page before gave as "next".')
    .optional(),
  limit: z.coerce
    .number('Use a number.')
    .int('Whole orders only.')
    .min(1, 'At least one.')
    .max(500, 'At most 500 at a time.')
    .default(200),
})
export type OrderListQuery = z.infer<typeof orderListQuerySchema>

export const orderListSchema = z.object({
  orders: z.array(orderSummarySchema),
  /** All that fit the question, on this page and the others. */
  total: z.number().int(),
  /** Where the next page begins; null on the last. */
  next: z.string().nullable(),
})
export type OrderList = z.infer<typeof orderListSchema>

/** What a stored order answers with: itself and the version to send back with the next change. */
export const storedOrderSchema = z.object({ order: orderSchema, version: z.number().int() })
export type StoredOrder = z.infer<typeof storedOrderSchema>

/** An order as it came in, and in words what had to be taken in under another id. */
export const importedOrderSchema = storedOrderSchema.extend({ notes: z.array(z.string()) })
export type ImportedOrder = z.infer<typeof importedOrderSchema>

export const newOrderSchema = z.object({ title: nameSchema, collectAt: orderFields.shape.collectAt })

export const orderEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/orders',
    summary: 'Orders by due day, a page at a time',
    query: orderListQuerySchema,
    answer: orderListSchema,
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
    answer: z.object({ version: z.number().int() }),
    versioned: true,
  }),
  remove: endpoint({ method: 'delete', path: '/orders/:id', summary: 'Delete an order; it can be restored' }),
  restore: endpoint({
    method: 'post',
    path: '/orders/:id/restore',
    summary: 'Bring a deleted order back, and what it is piped with',
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
    answer: importedOrderSchema,
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
    summary: 'One table of the plan as CSV: colours, bags, batches, base, supplies, demand, timeline',
  }),
  calendar: endpoint({
    method: 'get',
    path: '/orders/:id/timeline.ics',
    summary: 'The timetable of an order as an iCalendar file',
  }),
}
