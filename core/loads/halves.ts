import { z } from 'zod'
import { idSchema } from '../common.ts'
import type { LoadDefinition } from './load.ts'

const schema = z.object({ kind: z.literal('halves'), inner: idSchema, outer: idSchema })

/** Two halves side by side: one on the inner face of a petal, one on the outer; two ropes run together on a star. */
export const halves: LoadDefinition<typeof schema> = {
  label: 'two halves',
  schema,
  roles: (l) => [
    { path: ['inner'], role: l.inner },
    { path: ['outer'], role: l.outer },
  ],
  shares: (l) => [
    { role: l.inner, share: 0.5 },
    { role: l.outer, share: 0.5 },
  ],
  // round and star tips do not care which way they are turned
  fixesTip: (slot) => slot !== null,
  look: (l) => ({ pattern: 'faces', roles: [l.inner, l.outer], border: 0.5 }),
  filling: ([inner, outer]) => [
    `Lay ${inner} and ${outer} side by side on a sheet of wrap and roll it up, ends open.`,
    `Slide the roll into the bag so that ${inner} faces the inside of the slot's bend.`,
    'Squeeze until both colours come.',
  ],
}
