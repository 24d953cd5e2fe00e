import { z } from 'zod'
import { idSchema } from '#core/common'
import { momentSchema } from '#core/model/day'
import { endpoint } from './endpoint.ts'

export const comingPlanSchema = z.object({
  /** Of each order of the coming days that has work: when it has to be begun among all others, and whether it still can be. */
  starts: z.array(z.object({ orderId: idSchema, from: z.string(), fits: z.boolean() })),
})
export type ComingPlan = z.infer<typeof comingPlanSchema>

export const comingEndpoints = {
  plan: endpoint({
    method: 'get',
    path: '/coming/plan',
    summary: 'When the orders of the coming days have to be begun, placed in time together',
    query: z.object({
      /** What the bakery's clock shows. */
      now: momentSchema,
    }),
    answer: comingPlanSchema,
  }),
}
