import { existsSync } from 'node:fs'
import { join } from 'node:path'
import type { MikroORM } from '@mikro-orm/postgresql'
import express, { type Express } from 'express'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { healthEndpoints } from '#contract/health'
import { openApiDocument } from '#contract/openapi'
import { passphraseGate, sameOriginOnly } from './access.ts'
import { notFound, problemHandler } from './problems.ts'
import { dyeRoutes } from './resources/dyes.ts'
import { orderRoutes } from './resources/orders.ts'
import { weighingRoutes } from './resources/weighings.ts'
import { workshopRoutes } from './resources/workshop.ts'

export interface AppOptions {
  orm: MikroORM
  logger: Logger
  /** Folder of the built interface; null to serve the API alone. */
  webFolder: string | null
  /** Asked of everybody when set. */
  passphrase: string | null
}

/** The whole HTTP side: API under /api, the built interface elsewhere. Holds no state of its own. */
export function createApp({ orm, logger, webFolder, passphrase }: AppOptions): Express {
  const app = express()
  app.disable('x-powered-by')
  app.use(pinoHttp({ logger, customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'debug') }))
  app.use(
    helmet({
      // plain http on a bench network: no upgrades and no HSTS
      hsts: false,
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'", 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  )
  if (passphrase) app.use(passphraseGate(passphrase))
  app.use('/api', sameOriginOnly, express.json({ limit: '5mb' }))
  app.get(`/api${healthEndpoints.health.path}`, async (_req, res) => {
    const up = await orm.isConnected()
    res.status(up ? 200 : 503).json({ ok: up, database: up ? 'up' : 'down' })
  })
  app.get('/api/openapi.json', (_req, res) => {
    res.json(openApiDocument())
  })
  app.use('/api', orderRoutes(orm), workshopRoutes(orm), weighingRoutes(orm), dyeRoutes(orm))
  app.use('/api', (req) => {
    throw notFound('address', `/api${req.path}`)
  })
  if (webFolder && existsSync(webFolder)) {
    app.use('/assets', express.static(join(webFolder, 'assets'), { immutable: true, maxAge: '1y' }))
    app.use(express.static(webFolder))
    app.get('/{*path}', (_req, res) => {
      res.sendFile(join(webFolder, 'index.html'))
    })
  }
  app.use(problemHandler)
  return app
}
