import { z } from 'zod'
import { practiceMarkSchema, practiceTrySchema } from '#core/model/practiceTry'
import { endpoint } from './endpoint.ts'

export const practiceEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/practice',
    summary: 'Every try at a drill, the oldest first, without what the hand did',
    answer: z.array(practiceMarkSchema),
  }),
  read: endpoint({
    method: 'get',
    path: '/practice/:id',
    summary: 'A try with what the hand did, for watching it again',
    answer: practiceTrySchema,
  }),
  keep: endpoint({
    method: 'put',
    path: '/practice/:id',
    summary: 'Keep a try; it never changes, and the same one sent twice is kept once',
    body: practiceTrySchema,
    answer: practiceMarkSchema,
  }),
  remove: endpoint({
    method: 'delete',
    path: '/practice/:id',
    summary: 'Delete a try',
  }),
}
