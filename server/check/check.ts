import type { z } from 'zod'
import { issueFaults } from '#core/files/orderFile'
import type { Fault } from '#core/model/faults'
import { textFaults } from '#core/model/text'

/** What is wrong with a body. */
export type Faulty = { faults: Fault[] } | { notJson: string }

/** A document may break a rule in ten thousand places; nobody reads that many. */
export const MOST_FAULTS = 200

/** Parses a body and checks it by its schema. */
export function check<T>(text: string, schema: z.ZodType<T>): { document: T } | Faulty {
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch (error) {
    return { notJson: (error as Error).message }
  }
  // a sound document has none of these, and most have not even the letters of one
  if (/\\u(0000|[dD][89a-fA-F])/.test(text) || !text.isWellFormed()) {
    const faults = textFaults(document)
    if (faults.length > 0) return { faults: faults.slice(0, MOST_FAULTS) }
  }
  const parsed = schema.safeParse(document)
  return parsed.success
    ? { document: parsed.data }
    : { faults: issueFaults(parsed.error).slice(0, MOST_FAULTS) }
}
