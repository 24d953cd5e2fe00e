import 'pino-http'
import { ConnectionException, OptimisticLockError, UniqueConstraintViolationException } from '@mikro-orm/core'
import type { ErrorRequestHandler, Response } from 'express'
import { type Problem, toPointer } from '#contract/problem'
import type { Fault } from '#core/model/faults'

/** An error that a person can act on; becomes a problem document. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    /** Stable name of this kind of error. */
    readonly code: string,
    readonly title: string,
    detail: string,
    readonly faults: readonly Fault[] = [],
    /** Seconds after which it is worth trying again. */
    readonly retryAfterS: number | null = null,
  ) {
    super(detail)
  }
}

export const notFound = (what: string, id: string) =>
  new ProblemError(
    404,
    'not-found',
    'Not found',
    `There is no ${what} "${id}". It may have been deleted meanwhile.`,
  )

export const invalid = (faults: readonly Fault[]) =>
  new ProblemError(
    422,
    'invalid',
    'Something in it is not right',
    faults.length === 1 ? faults[0]!.message : `${faults.length} fields need another look.`,
    faults,
  )

export const changedMeanwhile = () =>
  new ProblemError(
    412,
    'changed-meanwhile',
    'Changed meanwhile',
    'This was saved from another place after you opened it. Read it again, and send your change on top of it.',
  )

export const databaseAway = () =>
  new ProblemError(
    503,
    'database-away',
    'The database does not answer',
    'Kanten cannot reach its database just now. Nothing is lost on this screen; it tries again by itself.',
    [],
    2,
  )

/** Turns every error into a problem document; only unexpected ones are logged as errors. */
export const problemHandler: ErrorRequestHandler = (error, req, res, next) => {
  if (res.headersSent) return next(error)
  const problem = toProblemError(error)
  if (problem.status === 500) req.log.error({ err: error }, 'request failed')
  sendProblem(res, problem)
}

/** Nobody mends more than so many at a time; the detail says how many there are. */
const MOST_FAULTS = 100

/** Answers with a problem document. */
export function sendProblem(res: Response, problem: ProblemError): void {
  const body: Problem = {
    type: 'about:blank',
    code: problem.code,
    title: problem.title,
    status: problem.status,
    detail: problem.message,
    ...(problem.faults.length > 0
      ? {
          errors: problem.faults
            .slice(0, MOST_FAULTS)
            .map((f) => ({ pointer: toPointer(f.path), detail: f.message })),
        }
      : {}),
  }
  if (problem.retryAfterS !== null) res.setHeader('Retry-After', String(problem.retryAfterS))
  res.removeHeader('ETag')
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(body))
}

function toProblemError(error: unknown): ProblemError {
  if (error instanceof ProblemError) return error
  // two people made or changed the same row at the same moment, and this one came second
  if (error instanceof OptimisticLockError || error instanceof UniqueConstraintViolationException)
    return changedMeanwhile()
  if (isAway(error)) return databaseAway()
  return fromHttpError(error) ?? unexpected
}

const unexpected = new ProblemError(
  500,
  'failed',
  'Something went wrong here',
  'The server failed; nothing was changed. Try again.',
)

/** PostgreSQL's classes for lost connections, a server on its way up or down, and too many clients. */
const AWAY_CODES =
  /^(08\w{3}|57P0[1-3]|53300|ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH)$/
const AWAY_WORDS =
  /Connection terminated|Query read timeout|timeout exceeded when trying to connect|timeout expired|acquiring a connection|Knex: Timeout|not queryable|Connection ended/i

/** Whether an error, or one that caused it, means that the database could not be reached. */
export function isAway(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = (e as { cause?: unknown }).cause) {
    const { code } = e as { code?: unknown }
    if (e instanceof ConnectionException) return true
    if (typeof code === 'string' && AWAY_CODES.test(code)) return true
    if (AWAY_WORDS.test(e.message)) return true
  }
  return false
}

/** What express and its parsers throw for requests that cannot be read: each has a status of its own. */
function fromHttpError(error: unknown): ProblemError | null {
  const { status, type, message } = error as { status?: unknown; type?: string; message?: string }
  if (error instanceof URIError)
    return new ProblemError(400, 'bad-address', 'Not an address', 'This address is not written correctly.')
  if (typeof status !== 'number' || status < 400 || status > 499) return null
  if (type === 'entity.too.large')
    return new ProblemError(
      413,
      'too-large',
      'Too large',
      'This is more than Kanten takes at once. Split it.',
    )
  const known: Record<number, [string, string, string]> = {
    400: ['unreadable', 'Not readable', 'This request cannot be read; it may have been cut short.'],
    404: ['not-found', 'Not found', 'There is nothing at this address.'],
    412: ['changed-meanwhile', 'Changed meanwhile', 'This is no longer what you have seen.'],
    415: ['not-json', 'Not JSON', 'Send JSON in UTF-8 as application/json, plain or compressed with gzip.'],
    416: ['bad-range', 'No such part', 'This part of the file does not exist.'],
  }
  const [code, title, words] = known[status] ?? ['refused', 'Not accepted', message ?? 'Not accepted.']
  return new ProblemError(status, code, title, words)
}
