import { z } from 'zod'
import { idSchema } from '../common.ts'
import { areaShare } from '../tips/slot.ts'
import type { LoadDefinition } from './load.ts'

const schema = z.object({
  kind: z.literal('striped'),
  wideEnd: idSchema,
  rest: idSchema,
  /** Where the border lies along the slot, 0 wide end, 1 narrow end. */
  border: z.number().min(0.05, 'At least 0.05 of the slot.').max(0.95, 'At most 0.95 of the slot.'),
})

/** A ribbon of one colour along the wide end, another filling the rest. */
export const striped: LoadDefinition<typeof schema> = {
  label: 'a ribbon along the wide end',
  schema,
  roles: (l) => [
    { path: ['wideEnd'], role: l.wideEnd },
    { path: ['rest'], role: l.rest },
  ],
  shares(l, slot) {
    // a round or star opening has no wide end: its two halves meet at the border given
    const wide = slot ? areaShare(slot, l.border) : l.border
    return [
      { role: l.wideEnd, share: wide },
      { role: l.rest, share: 1 - wide },
    ]
  },
  fixesTip: (slot) => slot !== null,
  look: (l) => ({ pattern: 'across', roles: [l.wideEnd, l.rest], border: l.border }),
  filling: ([wide, rest]) => [
    'Turn the tip so that its wide end faces you.',
    `Spread ${wide} as a ribbon down the side of the bag where the wide end sits.`,
    `Fill the rest with ${rest}, without pushing the ribbon aside.`,
    'Squeeze until both colours come, before the first petal.',
  ],
}
