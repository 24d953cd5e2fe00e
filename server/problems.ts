import 'pino-http'
import { OptimisticLockError } from '@mikro-orm/core'
import type { ErrorRequestHandler } from 'express'
import { type Problem, toPointer } from '#contract/problem'
import type { Fault } from '#core/model/faults'
import { UnplannableOrderError } from '#core/plan/index'

/** An error that a person can act on; becomes a problem document. */
export class ProblemError extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly faults: readonly Fault[] = [],
  ) {
    super(detail)
  }
}

export const notFound = (what: string, id: string) =>
  new ProblemError(404, 'Not found', `There is no ${what} "${id}". It may have been deleted meanwhile.`)

export const invalid = (faults: readonly Fault[]) =>
  new ProblemError(
    422,
    'Something in it is not right',
    faults.length === 1 ? faults[0]!.message : `${faults.length} fields need another look.`,
    faults,
  )

export const changedMeanwhile = () =>
  new ProblemError(
    412,
    'Changed meanwhile',
    'Somebody else saved this after you opened it. Load it again, or save yours over it.',
  )

/** Turns every error into a problem document; only unexpected ones are logged as errors. */
export const problemHandler: ErrorRequestHandler = (error, req, res, next) => {
  if (res.headersSent) return next(error)
  const problem = toProblem(error)
  if (problem.status >= 500) req.log.error({ err: error }, 'request failed')
  res.status(problem.status).type('application/problem+json').send(JSON.stringify(problem))
}

function toProblem(error: unknown): Problem {
  if (error instanceof OptimisticLockError) return toProblem(changedMeanwhile())
  if (error instanceof UnplannableOrderError) return toProblem(invalid(error.faults))
  if (error instanceof ProblemError)
    return {
      type: 'about:blank',
      title: error.title,
      status: error.status,
      detail: error.message,
      ...(error.faults.length > 0
        ? { errors: error.faults.map((f) => ({ pointer: toPointer(f.path), detail: f.message })) }
        : {}),
    }
  const parse = error as { type?: string; status?: number; message?: string }
  if (parse.type === 'entity.parse.failed')
    return toProblem(new ProblemError(400, 'Not JSON', `The file is not valid JSON: ${parse.message}`))
  if (parse.type === 'entity.too.large')
    return toProblem(
      new ProblemError(413, 'Too large', 'The file is larger than 5 MB. Split it or take parts out.'),
    )
  return toProblem(
    new ProblemError(500, 'Something went wrong here', 'The server failed; nothing was changed. Try again.'),
  )
}
