import type { z } from 'zod'
import type { Slot } from '../tips/family.ts'

/** A colour role's part of a load. */
export interface LoadShare {
  role: string
  share: number
}

/** How a load shows on what is piped. */
export interface LoadLook {
  /** Across the slot from its wide end, by face of the sheet (or half of the rope), or mingled along the stroke. */
  pattern: 'across' | 'faces' | 'mingled'
  /** Up to three roles; the first at the wide end, inside, or darkest. */
  roles: readonly string[]
  /** Where the first gives way to the second, as a share of the slot (across) or of the icing (mingled). */
  border: number
}

/** One way to fill a bag. */
export interface LoadDefinition<S extends z.ZodObject = z.ZodObject> {
  /** The bench's word for it. */
  label: string
  schema: S
  /** Where in the load a role is named, and which. */
  roles(load: z.infer<S>): { path: (string | number)[]; role: string }[]
  /** How the icing divides among the roles; sums to 1. The slot is null for round and star openings. */
  shares(load: z.infer<S>, slot: Slot | null): LoadShare[]
  /** Whether the tip must stay as it is turned, so that the load meets the right side of the opening. */
  fixesTip(slot: Slot | null): boolean
  look(load: z.infer<S>): LoadLook
  /** What to do, in order; `names` are the colours in the order of `shares`. */
  filling(names: readonly string[]): string[]
}
