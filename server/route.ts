import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import type { Endpoint } from '#contract/endpoint'
import { issueFaults } from '#core/files/orderFile'
import { invalid, ProblemError } from './problems.ts'

/** What a handler gets: a unit of work of its own, the checked body, and the version the caller has seen. */
export interface Call<Body> {
  em: EntityManager
  body: Body
  /** From If-Match; only for versioned endpoints, 0 for a row that does not exist yet. */
  version: number
  param(name: string): string
  req: Request
  res: Response
}

type BodyOf<B> = B extends z.ZodType ? z.infer<B> : undefined
type AnswerOf<A> = A extends z.ZodType ? z.infer<A> : undefined

/** Mounts a contract's endpoint: checks body and If-Match, runs the handler in one transaction, sends its answer. */
export function route<B extends z.ZodType | undefined, A extends z.ZodType | undefined>(
  router: Router,
  orm: MikroORM,
  endpoint: Endpoint<B, A>,
  handler: (call: Call<BodyOf<B>>) => Promise<AnswerOf<A>>,
): void {
  router[endpoint.method](endpoint.path, async (req, res) => {
    const version = endpoint.versioned ? ifMatch(req) : 0
    const body = endpoint.body ? check(endpoint.body, req.body) : undefined
    const answer = await orm.em.fork().transactional((em) =>
      handler({
        em: em as EntityManager,
        body: body as BodyOf<B>,
        version,
        param: (name) => String(req.params[name]),
        req,
        res,
      }),
    )
    if (res.headersSent) return
    if (answer === undefined) res.status(204).end()
    else {
      const version = (answer as { version?: unknown }).version
      if (typeof version === 'number') res.setHeader('ETag', `"${version}"`)
      res.json(answer)
    }
  })
}

function check(schema: z.ZodType, body: unknown): unknown {
  const parsed = schema.safeParse(body)
  if (!parsed.success) throw invalid(issueFaults(parsed.error))
  return parsed.data
}

function ifMatch(req: Request): number {
  const match = /^(?:W\/)?"(\d+)"$/.exec(req.get('If-Match') ?? '')
  if (!match)
    throw new ProblemError(
      428,
      'Which version?',
      'Send the version you have seen as If-Match, as the ETag of your last read gave it.',
    )
  return Number(match[1])
}
