import { z } from 'zod'
import { idSchema } from '../common.ts'
import type { LoadDefinition } from './load.ts'

const schema = z.object({
  kind: z.literal('leftBehind'),
  first: idSchema,
  next: idSchema,
  /** Share of the icing that is still the first colour. */
  share: z.number().min(0.02, 'At least 0.02 of the icing.').max(0.5, 'At most half of the icing.'),
})

/** What the last filling leaves on the wall streaks the next: the bag is not wiped before the second colour goes in. */
export const leftBehind: LoadDefinition<typeof schema> = {
  label: 'what the last filling left',
  schema,
  roles: (l) => [
    { path: ['first'], role: l.first },
    { path: ['next'], role: l.next },
  ],
  shares: (l) => [
    { role: l.first, share: l.share },
    { role: l.next, share: 1 - l.share },
  ],
  fixesTip: () => false,
  look: (l) => ({ pattern: 'mingled', roles: [l.first, l.next], border: l.share }),
  filling: ([first, next]) => [
    `Pipe ${first} out of this bag until only what clings to its wall is left.`,
    `Fill it with ${next} without wiping it.`,
    'The streaks fade as the bag empties: pipe the outer petals first.',
  ],
}
