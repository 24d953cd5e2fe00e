import { z } from 'zod'
import { idSchema } from '../common.ts'

/**
 * At the places of a layer piped before: where its strokes begin, where they end, or between each and the next, over the
 * joins of its row. A ring of its own stands at each of them.
 */
export const onLayerSchema = z.object({
  kind: z.literal('layer'),
  layerId: idSchema,
  at: z.enum(['starts', 'ends', 'between']).default('ends'),
})
export type OnLayer = z.infer<typeof onLayerSchema>
