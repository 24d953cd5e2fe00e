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

export const logEndpoints = {
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
