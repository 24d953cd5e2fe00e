import { z } from 'zod'
import { endpoint } from './endpoint.ts'

export const healthEndpoints = {
  health: endpoint({
    method: 'get',
    path: '/health',
    summary: 'Whether the server and its database answer',
    answer: z.object({ ok: z.boolean(), database: z.enum(['up', 'down']) }),
  }),
}
