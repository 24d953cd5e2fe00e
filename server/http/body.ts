import { fileURLToPath } from 'node:url'
import express, { type Request, type RequestHandler } from 'express'
import { Piscina } from 'piscina'
import type { Endpoint } from '#contract/endpoint'
import { endpointKey } from '#contract/endpoints'
import { type Checked, check } from './check.ts'
import type { CheckAnswer, CheckTask } from './checkWorker.ts'
import { invalid, ProblemError } from './problems.ts'

/** Most that a document may be. The largest order a bakery could mean is a fifth of it. */
const LARGEST_DOCUMENT = '2mb'
/** Larger bodies are checked on a thread of their own, so that short requests are answered meanwhile. */
const LARGE_CHARACTERS = 48_000
/** Large bodies that may wait for that thread: a second's work. */
const MOST_WAITING = 12

/** Reads JSON bodies as text; they are parsed where they are checked. */
export const readBody: RequestHandler = express.text({
  type: ['application/json', 'application/*+json'],
  limit: LARGEST_DOCUMENT,
})

let started: Piscina<CheckTask, CheckAnswer> | null = null
function checker(): Piscina<CheckTask, CheckAnswer> {
  started ??= new Piscina<CheckTask, CheckAnswer>({
    filename: fileURLToPath(new URL('checkWorker.ts', import.meta.url)),
    execArgv: ['--import', 'tsx'],
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 300_000,
  })
  return started
}

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

const isLarge = (body: unknown): boolean => typeof body === 'string' && body.length > LARGE_CHARACTERS

/** The body of a request by its endpoint's schema. @throws ProblemError with a pointer to each field at fault. */
export async function bodyOf(req: Request, endpoint: Endpoint): Promise<unknown> {
  const text: unknown = req.body
  if (typeof text !== 'string')
    throw new ProblemError(415, 'not-json', 'Not JSON', 'Send JSON as application/json.')
  const checked = isLarge(text) ? await checkLarge(text, endpoint) : check(text, endpoint.body!)
  if ('document' in checked) return checked.document
  if ('faults' in checked) throw invalid(checked.faults)
  throw new ProblemError(400, 'not-json', 'Not JSON', `The file is not valid JSON: ${checked.notJson}`)
}

async function checkLarge(text: string, endpoint: Endpoint): Promise<Checked> {
  const answer = await checker().run({ text, endpoint: endpointKey(endpoint) })
  if (!('text' in answer)) return answer
  const document: unknown = JSON.parse(answer.text)
  await breathe()
  return { document }
}
