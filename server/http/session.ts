import { createHash, createHmac, scryptSync, timingSafeEqual } from 'node:crypto'
import { parse, serialize } from 'cookie'
import { type Request, type RequestHandler, type Response, Router } from 'express'
import { ipKeyGenerator, rateLimit } from 'express-rate-limit'
import { sessionEndpoints } from '#contract/session'
import { bodyOf } from './body.ts'
import { ProblemError, sendProblem } from './problems.ts'

const COOKIE = 'kanten-session'
const SESSION_DAYS = 30
const DAY_MS = 86_400_000

/** Wrong phrases that one address may try within a minute. */
const GUESSES = 20
const GUESS_WINDOW_MS = 60_000

const digest = (text: string) => createHash('sha256').update(text).digest()

/**
 * The passphrase asked once: whoever says it gets a signed cookie that no script can read, good for 30 days and for every
 * server with the same passphrase. Programs may send it as HTTP Basic instead. Only wrong phrases are counted, and
 * whoever sends too many waits; a cookie is never held up by them.
 */
export function sessions(passphrase: string): { router: Router; gate: RequestHandler } {
  const wanted = digest(passphrase)
  const key = scryptSync(passphrase, 'kanten-session', 32)
  const sign = (until: string) => createHmac('sha256', key).update(until).digest('base64url')
  const guesses = rateLimit({
    windowMs: GUESS_WINDOW_MS,
    limit: GUESSES,
    standardHeaders: false,
    legacyHeaders: false,
    handler: (_req, res) => sendProblem(res, tooManyGuesses()),
  })
  const addressOf = (req: Request) => ipKeyGenerator(req.ip ?? '')

  /** @throws ProblemError for a wrong phrase, or any phrase from an address that has guessed too often. */
  async function check(req: Request, res: Response, phrase: string): Promise<void> {
    const made = await guesses.getKey(addressOf(req))
    if ((made?.totalHits ?? 0) >= GUESSES) throw tooManyGuesses()
    if (timingSafeEqual(digest(phrase), wanted)) return
    await new Promise<void>((counted) => void guesses(req, res, () => counted()))
    throw new ProblemError(401, 'wrong-passphrase', 'Not the passphrase', 'This is not the passphrase.')
  }

  const isOpen = (req: Request) => {
    const [until = '', signature = ''] = (parse(req.get('Cookie') ?? '')[COOKIE] ?? '').split('.')
    return timingSafeEqual(digest(signature), digest(sign(until))) && Number(until) > Date.now()
  }

  const setCookie = (req: Request, res: Response, value: string, maxAge: number) =>
    res.setHeader(
      'Set-Cookie',
      serialize(COOKIE, value, {
        httpOnly: true,
        sameSite: 'strict',
        path: '/',
        maxAge,
        secure: req.get('Origin')?.startsWith('https:') ?? false,
      }),
    )

  const router = Router()
  const { open, close } = sessionEndpoints
  router.post(open.path, async (req, res) => {
    const { passphrase: phrase } = (await bodyOf(req, open)) as { passphrase: string }
    await check(req, res, phrase)
    const until = String(Date.now() + SESSION_DAYS * DAY_MS)
    setCookie(req, res, `${until}.${sign(until)}`, SESSION_DAYS * 86_400)
    res.status(204).end()
  })
  router.delete(close.path, (req, res) => {
    setCookie(req, res, '', 0)
    res.status(204).end()
  })

  const gate: RequestHandler = async (req, res, next) => {
    if (isOpen(req)) return next()
    const [scheme, encoded = ''] = (req.get('Authorization') ?? '').split(' ')
    if (scheme === 'Basic') {
      const given = Buffer.from(encoded, 'base64').toString('utf8')
      await check(req, res, given.slice(given.indexOf(':') + 1))
      return next()
    }
    // a browser would ask with a window of its own; Kanten's page asks better
    if (!req.get('Sec-Fetch-Mode')) res.setHeader('WWW-Authenticate', 'Basic realm="Kanten", charset="UTF-8"')
    throw new ProblemError(
      401,
      'passphrase-needed',
      'The passphrase, please',
      'Kanten asks for its passphrase before it shows anything.',
    )
  }
  return { router, gate }
}

const tooManyGuesses = () =>
  new ProblemError(
    429,
    'too-many-guesses',
    'Too many wrong phrases',
    'Too many wrong phrases came from this device. Wait a minute, then try again.',
    [],
    GUESS_WINDOW_MS / 1000,
  )
