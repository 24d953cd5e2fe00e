import { UniqueConstraintViolationException } from '@mikro-orm/core'
import type { EntityManager, MikroORM } from '@mikro-orm/postgresql'
import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import type { Endpoint } from '#contract/endpoint'
import { idSchema } from '#core/common'
import { textFaults } from '#core/model/text'
import { bodyOf, inTurn } from './body.ts'
import { databaseAway, invalid, notFound, ProblemError } from './problems.ts'

/** What a handler gets: a unit of work of its own, the checked body, and the version the caller has seen. */
export interface Call<Body, Query> {
  em: EntityManager
  body: Body
  query: Query
  /** From If-Match; only for versioned endpoints, 0 for a row that does not exist yet. */
  version: number
  param(name: string): string
  req: Request
  res: Response
}

type Given<S> = S extends z.ZodType ? z.infer<S> : undefined

export interface RouteOptions {
  /** One statement needs no transaction around it; reads never have one. */
  transaction?: boolean
  /** The handler reads and checks the body itself. */
  readsBody?: boolean
  /**
   * Milliseconds after which the request is answered whatever the database does; null where the handler keeps its own
   * time, with `inTime` around what it asks of the database.
   */
  deadlineMs?: number | null
}

/** A database that hangs must not hang its askers: they are told to come back. */
const DEADLINE_MS = 4500

/** Mounts a contract's endpoint: checks address, body and If-Match, runs the handler, sends its answer. */
export function route<
  B extends z.ZodType | undefined,
  A extends z.ZodType | undefined,
  Q extends z.ZodType | undefined,
>(
  router: Router,
  orm: MikroORM,
  endpoint: Endpoint<B, A, Q>,
  handler: (call: Call<Given<B>, Given<Q>>) => Promise<Given<A>>,
  { transaction = endpoint.method !== 'get', readsBody = false, deadlineMs = DEADLINE_MS }: RouteOptions = {},
): void {
  async function answerTo(req: Request, res: Response): Promise<Given<A>> {
    const version = endpoint.versioned ? ifMatch(req) : 0
    const body = (
      endpoint.body && !readsBody ? await bodyOf(req, endpoint as Endpoint) : undefined
    ) as Given<B>
    const query = (endpoint.query ? queryOf(req, endpoint.query) : undefined) as Given<Q>
    const call = (em: EntityManager) =>
      handler({ em, body, query, version, param: (name) => idParam(req, name), req, res })
    const once = () => {
      const em = orm.em.fork()
      return transaction ? em.transactional((inside) => call(inside as EntityManager)) : call(em)
    }
    return endpoint.versioned ? once() : insisting(once)
  }

  router[endpoint.method](endpoint.path, async (req, res) => {
    const answer = await inTurn(req, () => inTime(answerTo(req, res), deadlineMs))
    if (res.headersSent) return
    if (answer === undefined) res.status(204).end()
    else {
      const { version: now } = answer as { version?: unknown }
      if (typeof now === 'number') res.setHeader('ETag', `"${now}"`)
      res.json(answer)
    }
  })
}

const TRIES = 3

/** Two that make something at the same moment: the second finds what the first has made, and looks again. */
async function insisting<T>(work: () => Promise<T>): Promise<T> {
  for (let left = TRIES; ; left--)
    try {
      return await work()
    } catch (error) {
      if (left <= 1 || !(error instanceof UniqueConstraintViolationException)) throw error
    }
}

/** Gives up waiting for the database. @throws ProblemError "database-away" when `ms` were not enough. */
export async function inTime<T>(work: Promise<T>, ms: number | null = DEADLINE_MS): Promise<T> {
  if (ms === null) return work
  let timer: NodeJS.Timeout | undefined
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(databaseAway()), ms)
  })
  try {
    return await Promise.race([work, late])
  } finally {
    clearTimeout(timer)
    // what comes after the answer has nobody left to tell
    work.catch(() => undefined)
  }
}

function idParam(req: Request, name: string): string {
  const id = String(req.params[name])
  if (!idSchema.safeParse(id).success) throw notFound('such thing', id.slice(0, 64))
  return id
}

function queryOf(req: Request, schema: z.ZodType): unknown {
  const unstorable = textFaults(req.query)
  if (unstorable.length > 0) throw invalid(unstorable)
  const parsed = schema.safeParse(req.query)
  if (parsed.success) return parsed.data
  throw invalid(
    parsed.error.issues.map((issue) => ({ path: issue.path.map(String), message: issue.message })),
  )
}

function ifMatch(req: Request): number {
  const match = /^(?:W\/)?"(\d{1,9})"$/.exec(req.get('If-Match') ?? '')
  if (!match)
    throw new ProblemError(
      428,
      'version-needed',
      'Which version?',
      'Send the version you have seen as If-Match, as the ETag of your last read gave it.',
    )
  return Number(match[1])
}
