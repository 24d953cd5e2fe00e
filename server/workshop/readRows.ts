import type { z } from 'zod'
import type { StoredWorkshop } from '#contract/workshop'

export type Unreadable = StoredWorkshop['unreadable'][number]

/** Reads stored documents by their schema; one that cannot be read is reported and does not take the others with it. */
export function readable<T>(
  kind: string,
  rows: readonly { id: string; document: unknown }[],
  schema: z.ZodType<T>,
  unreadable: Unreadable[],
): T[] {
  return rows.flatMap(({ id, document }) => {
    const parsed = schema.safeParse(document)
    if (parsed.success) return [parsed.data]
    const { path, message } = parsed.error.issues[0]!
    unreadable.push({ kind, id, why: `${path.map(String).join('/') || 'all of it'}: ${message}` })
    return []
  })
}
