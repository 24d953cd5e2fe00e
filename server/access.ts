import { createHash, timingSafeEqual } from 'node:crypto'
import type { RequestHandler } from 'express'
import { rateLimit } from 'express-rate-limit'
import { ProblemError } from './problems.ts'

const digest = (text: string) => createHash('sha256').update(text).digest()

/** Asks for the passphrase (HTTP Basic, any name); slows down whoever guesses. */
export function passphraseGate(passphrase: string): RequestHandler[] {
  const wanted = digest(passphrase)
  const guesses = rateLimit({
    windowMs: 60_000,
    limit: 20,
    standardHeaders: true,
    legacyHeaders: false,
    requestWasSuccessful: (_req, res) => res.statusCode !== 401,
    skipSuccessfulRequests: true,
  })
  return [
    guesses,
    (req, res, next) => {
      const [scheme, encoded] = (req.get('Authorization') ?? '').split(' ')
      const given = Buffer.from(encoded ?? '', 'base64').toString('utf8')
      const phrase = given.slice(given.indexOf(':') + 1)
      if (scheme === 'Basic' && timingSafeEqual(digest(phrase), wanted)) return next()
      res.setHeader('WWW-Authenticate', 'Basic realm="Kanten", charset="UTF-8"')
      res.status(401).send('Kanten asks for its passphrase. Any name will do.')
    },
  ]
}

/** Refuses changes sent by a page of another origin; a browser says where a request comes from. */
export const sameOriginOnly: RequestHandler = (req, _res, next) => {
  const origin = req.get('Origin')
  const reads = req.method === 'GET' || req.method === 'HEAD'
  if (reads || origin === undefined || hostOf(origin) === req.get('Host')) return next()
  throw new ProblemError(403, 'From elsewhere', 'Changes are only taken from Kanten itself.')
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host
  } catch {
    return null
  }
}
