import express, { type Request, type RequestHandler } from 'express'
import type { Endpoint } from '#contract/endpoint'
import { endpointKey } from '#contract/endpoints'
import { check, type Faulty } from '../check/check.ts'
import { checkLargeBody, isLarge } from '../check/pool.ts'
import { invalid, ProblemError } from './problems.ts'

/** Most that a document may be. The largest order a bakery could mean is a fifth of it. */
const LARGEST_DOCUMENT = '2mb'
/** Large bodies that may wait for their thread: a second's work. */
const MOST_WAITING = 12

/** Reads JSON bodies as text; they are parsed where they are checked. */
export const readBody: RequestHandler = express.text({
  type: ['application/json', 'application/*+json'],
  limit: LARGEST_DOCUMENT,
})

let lastLarge: Promise<unknown> = Promise.resolve()
let waiting = 0

/** Does the work of a request at once, or where its body is large, when all others with large bodies are done. */
export async function inTurn<T>(req: Request, work: () => Promise<T>): Promise<T> {
  if (!isLarge(req.body)) return work()
  if (waiting >= MOST_WAITING)
    throw new ProblemError(503, 'busy', 'Too much at once', 'Try again in a moment.', [], 2)
  waiting += 1
  const mine = lastLarge.then(work)
  lastLarge = mine
    .catch(() => undefined)
    .finally(() => {
      waiting -= 1
    })
  return mine
}

/** Lets whoever asks something short be answered between two stretches of work. */
const breathe = () => new Promise<void>((resolve) => setImmediate(resolve))

/** The body of a request by its endpoint's schema. @throws ProblemError with a pointer to each field at fault. */
export async function bodyOf(req: Request, endpoint: Endpoint): Promise<unknown> {
  const text = textOf(req)
  if (!isLarge(text)) return sound(check(text, endpoint.body!)).document
  const checked = sound(await checkLargeBody(text, endpointKey(endpoint)))
  const document: unknown = JSON.parse(checked.text)
  await breathe()
  return document
}

/** The body as it was sent. @throws ProblemError when it was not sent as JSON. */
export function textOf(req: Request): string {
  const text: unknown = req.body
  if (typeof text === 'string') return text
  throw new ProblemError(415, 'not-json', 'Not JSON', 'Send JSON as application/json.')
}

/** What was checked. @throws ProblemError that says what is wrong with it. */
export function sound<T extends object>(checked: T | Faulty): T {
  if ('faults' in checked) throw invalid(checked.faults)
  if ('notJson' in checked)
    throw new ProblemError(400, 'not-json', 'Not JSON', `The file is not valid JSON: ${checked.notJson}`)
  return checked
}
