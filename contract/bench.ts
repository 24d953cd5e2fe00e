import { z } from 'zod'
import { idSchema } from '#core/common'
import { benchEventSchema, frozenSchema } from '#core/model/bench'
import { endpoint } from './endpoint.ts'

/** An order being worked, without what was frozen. */
export const runSummarySchema = z.object({
  id: idSchema,
  orderId: idSchema,
  title: z.string(),
  begunAt: z.string(),
  /** Grows with every new plan that is taken in. */
  version: z.number().int(),
})
export type RunSummary = z.infer<typeof runSummarySchema>

export const storedRunSchema = runSummarySchema.extend({ frozen: frozenSchema })
export type StoredRun = z.infer<typeof storedRunSchema>

/** Most events that are sent or read at once; a tablet that was away for long sends several times. */
export const MOST_EVENTS = 200

export const benchNotesSchema = z.object({
  events: z
    .array(benchEventSchema)
    .min(1, 'Send at least one event.')
    .max(MOST_EVENTS, `At most ${MOST_EVENTS} events at a time.`),
})

/** What was noted, and the number to ask on from. */
export const heardSchema = z.object({
  events: z.array(benchEventSchema),
  last: z.number().int(),
  /** The run's version: another one means that a new plan was taken in. Not called `version`, which would name this answer. */
  runVersion: z.number().int(),
  /** More of it than came at once. */
  more: z.boolean(),
})
export type Heard = z.infer<typeof heardSchema>

export const benchEndpoints = {
  running: endpoint({
    method: 'get',
    path: '/bench',
    summary: 'Orders that are being worked, those begun last first',
    answer: z.array(runSummarySchema),
  }),
  begin: endpoint({
    method: 'post',
    path: '/orders/:id/bench',
    summary: 'Begin work on an order: its plan is frozen; an order that is being worked goes on',
    answer: runSummarySchema,
  }),
  read: endpoint({
    method: 'get',
    path: '/bench/:id',
    summary: 'An order being worked, with all that was frozen',
    answer: storedRunSchema,
  }),
  renew: endpoint({
    method: 'put',
    path: '/bench/:id/plan',
    summary: 'Take the order’s present plan in; what is done stays done',
    answer: z.object({ version: z.number().int() }),
    versioned: true,
  }),
  remove: endpoint({
    method: 'delete',
    path: '/bench/:id',
    summary: 'Take the beginning back, as long as nothing has been noted',
  }),
  heard: endpoint({
    method: 'get',
    path: '/bench/:id/events',
    summary: 'What was noted at the bench, in the order in which it came in',
    query: z.object({
      after: z.coerce.number('Use the number that the last answer gave.').int().min(0).default(0),
    }),
    answer: heardSchema,
  }),
  note: endpoint({
    method: 'post',
    path: '/bench/:id/events',
    summary: 'Note what happened at the bench; what is known already is not noted twice',
    body: benchNotesSchema,
  }),
  stream: endpoint({
    method: 'get',
    path: '/bench/:id/stream',
    summary: 'Tells, as server-sent events, the number of the last event as soon as another came in',
  }),
}
