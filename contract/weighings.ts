import { z } from 'zod'
import { weighingSchema } from '#core/logbook/weighing'
import { endpoint } from './endpoint.ts'

/** What a person types after weighing; the server adds what the geometry says. */
export const newWeighingSchema = weighingSchema
  .pick({ count: true, grams: true, icingKindId: true, note: true })
  .extend({
    /** Asked and confirmed where the figure is far from what was computed. */
    sure: z.boolean().default(false),
  })
export type NewWeighing = z.input<typeof newWeighingSchema>

export const weighingEndpoints = {
  list: endpoint({
    method: 'get',
    path: '/flowers/:id/weighings',
    summary: 'Every weighing of a flower, the newest first',
    answer: z.array(weighingSchema),
  }),
  add: endpoint({
    method: 'post',
    path: '/flowers/:id/weighings',
    summary: 'Keep a weighing; the flower is calibrated by all of them',
    body: newWeighingSchema,
    answer: weighingSchema,
  }),
  remove: endpoint({
    method: 'delete',
    path: '/flowers/:id/weighings/:weighing',
    summary: 'Take a weighing back',
  }),
}
