import { z } from 'zod'
import { idSchema } from '../common.ts'
import type { LoadDefinition } from './load.ts'

const schema = z.object({ kind: z.literal('plain'), role: idSchema })

/** One colour. */
export const plain: LoadDefinition<typeof schema> = {
  label: 'one colour',
  schema,
  roles: (l) => [{ path: ['role'], role: l.role }],
  shares: (l) => [{ role: l.role, share: 1 }],
  fixesTip: () => false,
  look: (l) => ({ pattern: 'across', roles: [l.role], border: 0.5 }),
  filling: ([name]) => [`Fill it with ${name}.`],
}
