import { z } from 'zod'

/** An error as every endpoint gives it (RFC 9457), with a pointer (RFC 6901) to each field at fault. */
export const problemSchema = z.object({
  type: z.string(),
  /** The same for every error of a kind, in every version: what a program asks for. */
  code: z.string(),
  title: z.string(),
  status: z.number().int(),
  detail: z.string(),
  errors: z.array(z.object({ pointer: z.string(), detail: z.string() })).optional(),
})
export type Problem = z.infer<typeof problemSchema>

/** A path as a JSON pointer into the request's body. */
export function toPointer(path: readonly (string | number)[]): string {
  return path.map((key) => `/${String(key).replace(/~/g, '~0').replace(/\//g, '~1')}`).join('')
}
