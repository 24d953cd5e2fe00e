import type { z } from 'zod'
import { issueFaults } from '#core/files/orderFile'
import type { Fault } from '#core/model/faults'
import { textFaults } from '#core/model/text'

/** A body by its schema: what it says, or what is wrong with it. */
export type Checked = { document: unknown } | { faults: Fault[] } | { notJson: string }

/** Parses and checks a body. */
export function check(text: string, schema: z.ZodType): Checked {
  let document: unknown
  try {
    document = JSON.parse(text)
  } catch (error) {
    return { notJson: (error as Error).message }
  }
  // a sound document has none of these, and most have not even the letters of one
  if (/\\u(0000|[dD][89a-fA-F])/.test(text) || !text.isWellFormed()) {
    const faults = textFaults(document)
    if (faults.length > 0) return { faults }
  }
  const parsed = schema.safeParse(document)
  return parsed.success ? { document: parsed.data } : { faults: issueFaults(parsed.error) }
}
