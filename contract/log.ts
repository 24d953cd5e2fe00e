import { z } from 'zod'
import { idSchema } from '#core/common'
import { logEntrySchema } from '#core/model/logEntry'
import { endpoint } from './endpoint.ts'

export const storedLogEntrySchema = z.object({ entry: logEntrySchema, version: z.number().int() })
export type StoredLogEntry = z.infer<typeof storedLogEntrySchema>

/** Largest photograph that is stored, bytes: the browser makes it smaller before. */
export const MOST_PHOTOGRAPH_BYTES = 2_000_000
/** Photographs of one order. */
export const MOST_PHOTOGRAPHS = 12

export const photographSchema = z.object({ id: idSchema, addedAt: z.string() })
export type Photograph = z.infer<typeof photographSchema>

/** What an entry was before it was changed or deleted. */
export const logHistorySchema = z.array(
  z.object({ entry: logEntrySchema, until: z.string(), deleted: z.boolean() }),
)
export type LogHistory = z.infer<typeof logHistorySchema>

/** A logbook as a file. */
export const logFileSchema = z.object({
  format: z.literal('kanten-logbook', 'This is not a logbook of Kanten: "format" must be "kanten-logbook".'),
  schemaVersion: z.literal(1),
  entries: z.array(logEntrySchema).max(5000, 'At most 5,000 entries.'),
})

export const logEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/log',
    summary:
      'The logbook, the latest entry first; search by order, person, colour, flower or a word that was noted',
    query: z.object({ search: z.string().trim().max(80, 'At most 80 characters.').optional() }),
    answer: z.array(storedLogEntrySchema),
  }),
  begin: endpoint({
    method: 'post',
    path: '/orders/:id/log',
    summary: 'Begin an entry for an order by hand: everything as it is planned, to be corrected',
    answer: storedLogEntrySchema,
  }),
  takeIn: endpoint({
    method: 'post',
    path: '/log/import',
    summary: 'Take entries in from a file; those that are here already, by their id, stay as they are',
    body: logFileSchema,
    answer: z.object({ added: z.number().int(), known: z.number().int() }),
  }),
  history: endpoint({
    method: 'get',
    path: '/log/:id/history',
    summary: 'What an entry was before, the last first',
    answer: logHistorySchema,
  }),
  remove: endpoint({
    method: 'delete',
    path: '/log/:id',
    summary: 'Delete an entry; its history stays',
  }),
  read: endpoint({
    method: 'get',
    path: '/log/:id',
    summary: 'An entry of the logbook; that of an order being worked has the id of its run',
    answer: storedLogEntrySchema,
  }),
  write: endpoint({
    method: 'put',
    path: '/log/:id',
    summary: 'Write an entry into the logbook; If-Match "0" for one that is new',
    body: logEntrySchema,
    answer: storedLogEntrySchema,
    versioned: true,
  }),
  photographs: endpoint({
    method: 'get',
    path: '/log/:id/photographs',
    summary: 'Photographs of an entry, the first first',
    answer: z.array(photographSchema),
  }),
  photograph: endpoint({
    method: 'post',
    path: '/log/:id/photographs',
    summary:
      'Add a photograph as application/octet-stream: JPEG, PNG or WebP of at most 2 MB that does not say where it was taken',
    answer: photographSchema,
  }),
  image: endpoint({
    method: 'get',
    path: '/photographs/:id',
    summary: 'A photograph as it is stored',
  }),
  removePhotograph: endpoint({
    method: 'delete',
    path: '/photographs/:id',
    summary: 'Delete a photograph',
  }),
}
