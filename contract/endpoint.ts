import type { z } from 'zod'

/** One call of the API: what it takes and gives. Paths are Express paths under /api. */
export interface Endpoint<
  Body extends z.ZodType | undefined = z.ZodType | undefined,
  Answer extends z.ZodType | undefined = z.ZodType | undefined,
  Query extends z.ZodType | undefined = z.ZodType | undefined,
> {
  method: 'get' | 'post' | 'put' | 'delete'
  path: string
  summary: string
  body?: Body
  answer?: Answer
  /** What may stand behind the question mark of the address: an object of texts. */
  query?: Query
  /** The row's version must be sent as If-Match, so that nobody overwrites what they have not seen. */
  versioned?: boolean
}

export function endpoint<
  B extends z.ZodType | undefined = undefined,
  A extends z.ZodType | undefined = undefined,
  Q extends z.ZodType | undefined = undefined,
>(definition: Endpoint<B, A, Q>): Endpoint<B, A, Q> {
  return definition
}
