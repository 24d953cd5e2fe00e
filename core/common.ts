import { z } from 'zod'
import { issueWords } from './issueWords.ts'

// every schema of core is built on this file, and says in the same words what to do about a field
z.config({ customError: issueWords })

/** Identifier used in files and addresses: letters, digits, hyphens. */
export const idSchema = z
  .string()
  .min(1, 'An id is needed.')
  .max(64, 'At most 64 characters.')
  .regex(/^[A-Za-z0-9][A-Za-z0-9-]*$/, 'Use letters, digits and hyphens, starting with a letter or digit.')
  // every object already answers to these, so a record could not tell whether one of them is in it
  .refine((id) => !(id in Object.prototype), 'This word cannot be an id. Choose another.')

/** A short name as a person types it. */
export const nameSchema = z.string().trim().min(1, 'A name is needed.').max(80, 'At most 80 characters.')

export const noteSchema = z.string().max(4000, 'At most 4,000 characters.')

/** sRGB colour as #rrggbb. */
export const hexSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/, 'Use a colour like #a8510f.')

/** How thick the icing is mixed; each icing kind says how much liquid makes it so. */
export const stiffnessSchema = z.enum(['stiff', 'medium', 'soft', 'writing', 'flood'])
export type Stiffness = z.infer<typeof stiffnessSchema>
export const stiffnesses = stiffnessSchema.options

export const allergenSchema = z.enum(['milk', 'egg', 'gluten', 'soy', 'nuts', 'sensitiveColours'])
export type Allergen = z.infer<typeof allergenSchema>

/** Allergens in words, as they appear in sentences. */
export const allergenWords: Record<Allergen, string> = {
  milk: 'milk',
  egg: 'egg',
  gluten: 'gluten',
  soy: 'soy',
  nuts: 'nuts',
  sensitiveColours: 'colours some people react to',
}
