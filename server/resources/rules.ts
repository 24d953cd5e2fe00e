import type { EntityManager } from '@mikro-orm/postgresql'
import type { z } from 'zod'
import type { DeletedKind } from '#contract/deleted'
import { issueFaults } from '#core/files/orderFile'
import { changedMeanwhile, invalid, ProblemError } from '../http/problems.ts'
import { orderUsing, recipeUsing } from './uses.ts'

/** Refuses a change based on another version than the stored one. `seen` 0 means "not stored yet". */
export function sameVersion(stored: { version: number } | null, seen: number): void {
  if ((stored?.version ?? 0) !== seen) throw changedMeanwhile()
}

/** Refuses a document that says it is another one than its address does. */
export function sameId(address: string, body: string): void {
  if (address !== body)
    throw invalid([{ path: ['id'], message: `The address says "${address}", the document "${body}".` }])
}

/** Refuses to change what belongs to the catalogue. */
export const readOnly = (what: string, name: string) =>
  new ProblemError(
    409,
    'catalogue',
    'From the catalogue',
    `${name} is a ${what} of the catalogue. Copy it, then change the copy.`,
  )

/** Refuses to delete what an order or a flower of the bakery's own is made with. */
export async function refuseWhileUsed(
  em: EntityManager,
  kind: DeletedKind,
  id: string,
  name: string,
): Promise<void> {
  const order = await orderUsing(em, kind, id)
  const flower = order ? null : await recipeUsing(em, kind, id)
  if (order)
    throw new ProblemError(
      409,
      'still-in-use',
      'Still in use',
      `${name} is used by "${order}". Change that order first.`,
    )
  if (flower)
    throw new ProblemError(
      409,
      'still-in-use',
      'Still in use',
      `${flower} is piped with this tip. Change the flower first.`,
    )
}

/** A document made here, checked by the schema that will read it again: nothing is stored that cannot be read. */
export function storable<T>(schema: z.ZodType<T>, document: unknown): T {
  const parsed = schema.safeParse(document)
  if (!parsed.success) throw invalid(issueFaults(parsed.error))
  return parsed.data
}
