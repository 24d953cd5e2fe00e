import express, { type Request, type RequestHandler } from 'express'
import type { z } from 'zod'
import { issueFaults } from '#core/files/orderFile'
import { textFaults } from '#core/model/text'
import { invalid, ProblemError } from './problems.ts'

/** Most that a document may be. The largest order a bakery could mean is a fifth of it. */
export const LARGEST_DOCUMENT = '2mb'
/** Larger bodies are taken one at a time, so that short requests are answered between them. */
const LARGE_CHARACTERS = 32_000

/** Reads JSON bodies as text; they are parsed when their turn comes. */
export const readBody: RequestHandler = express.text({
  type: ['application/json', 'application/*+json'],
  limit: LARGEST_DOCUMENT,
})

let lastTurn: Promise<void> = Promise.resolve()

/** Resolves when it is the caller's turn for a stretch of work: one such stretch between two rounds of the event loop. */
function turn(): Promise<void> {
  const mine = lastTurn.then(() => new Promise<void>((resolve) => setImmediate(resolve)))
  lastTurn = mine
  return mine
}

/** The body of a request by its schema. @throws ProblemError with a pointer to each field at fault. */
export async function bodyOf(req: Request, schema: z.ZodType): Promise<unknown> {
  const text: unknown = req.body
  if (typeof text !== 'string')
    throw new ProblemError(415, 'not-json', 'Not JSON', 'Send JSON as application/json.')
  if (text.length > LARGE_CHARACTERS) await turn()
  const document = parseJson(text)
  // a sound document has none of these, and most have not even the letters of one
  if (/\\u(0000|[dD][89a-fA-F])/.test(text) || !text.isWellFormed()) {
    const faults = textFaults(document)
    if (faults.length > 0) throw invalid(faults)
  }
  const parsed = schema.safeParse(document)
  if (!parsed.success) throw invalid(issueFaults(parsed.error))
  return parsed.data
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new ProblemError(
      400,
      'not-json',
      'Not JSON',
      `The file is not valid JSON: ${(error as Error).message}`,
    )
  }
}
