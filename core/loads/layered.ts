import { z } from 'zod'
import { idSchema } from '../common.ts'
import type { LoadDefinition } from './load.ts'

const schema = z.object({
  kind: z.literal('layered'),
  /** From the bag's wall inwards: dark outside to light inside. */
  tones: z
    .array(idSchema)
    .min(2, 'A layered bag has two or three tones.')
    .max(3, 'A layered bag has two or three tones.'),
})

/** Tones around the bag's wall, dark outside to light inside: every petal comes out a different blend. */
export const layered: LoadDefinition<typeof schema> = {
  label: 'tones around the wall',
  schema,
  roles: (l) => l.tones.map((role, i) => ({ path: ['tones', i], role })),
  shares: (l) => l.tones.map((role) => ({ role, share: 1 / l.tones.length })),
  fixesTip: () => false,
  look: (l) => ({ pattern: 'mingled', roles: l.tones, border: 0.5 }),
  filling: (names) => [
    `Paint ${names[0]} around the wall of the bag with a spatula.`,
    ...names.slice(1).map((name) => `Fill ${name} inside it.`),
    'Do not knead it: the blend changes from petal to petal by itself.',
  ],
}
