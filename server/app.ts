import { existsSync } from 'node:fs'
import { join } from 'node:path'
import compression from 'compression'
import express, { type Express } from 'express'
import compressed from 'express-static-gzip'
import helmet from 'helmet'
import type { Logger } from 'pino'
import { pinoHttp } from 'pino-http'
import { healthEndpoints } from '#contract/health'
import { openApiDocument } from '#contract/openapi'
import { SIMULATED_SCALE } from '#contract/scale'
import type { AppContext } from './appContext.ts'
import { admission } from './http/admission.ts'
import { plainAsset } from './http/assetHeaders.ts'
import { readBody } from './http/body.ts'
import type { DatabaseWatch } from './http/databaseWatch.ts'
import { type Hosts, onlyForUs } from './http/hosts.ts'
import { notFound, problemHandler } from './http/problems.ts'
import { sessions } from './http/session.ts'
import { backupRoutes } from './resources/backup.ts'
import { benchRoutes } from './resources/bench.ts'
import { comingRoutes } from './resources/coming.ts'
import { deletedRoutes } from './resources/deleted.ts'
import { dyeRoutes } from './resources/dyes.ts'
import { flowerRoutes } from './resources/flowers.ts'
import { icingRoutes } from './resources/icings.ts'
import { logRoutes } from './resources/log.ts'
import { orderRoutes } from './resources/orders.ts'
import { practiceRoutes } from './resources/practice.ts'
import { printRoutes } from './resources/prints.ts'
import { weighingRoutes } from './resources/weighings.ts'
import { workshopRoutes } from './resources/workshop.ts'

export interface AppOptions extends AppContext {
  watch: DatabaseWatch
  logger: Logger
  /** Folder of the built interface; null to serve the API alone. */
  webFolder: string | null
  /** Asked of everybody when set. */
  passphrase: string | null
  hosts: Hosts
}

/** What must never stand in a log. */
const SECRETS = ['req.headers.authorization', 'req.headers.cookie', 'res.headers["set-cookie"]']

/** The whole HTTP side: API under /api, the built interface elsewhere. Holds no state of its own. */
export function createApp(options: AppOptions): Express {
  const { logger, watch, webFolder, passphrase, hosts } = options
  const app = express()
  app.disable('x-powered-by')
  app.set('query parser', 'simple')
  // rows have versions; hashing an answer of megabytes to name it would hold up everybody
  app.set('etag', false)
  app.use(
    pinoHttp({
      logger,
      redact: { paths: SECRETS, censor: '(kept out)' },
      customLogLevel: (_req, res) => (res.statusCode === 500 ? 'error' : 'debug'),
    }),
  )
  app.use(onlyForUs(hosts))
  // before everything that may wait: this one must answer whatever else is going on
  app.get(`/api${healthEndpoints.health.path}`, async (_req, res) => {
    const up = await watch.isUp()
    res
      .status(up ? 200 : 503)
      .setHeader('Cache-Control', 'no-store')
      .json({ ok: up, database: up ? 'up' : 'down' })
  })
  app.use(
    helmet({
      // plain http on a bench network: no upgrades and no HSTS
      hsts: false,
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          // the simulated kitchen scale stands on the machine of whoever looks at it
          'connect-src': ["'self'", SIMULATED_SCALE],
          'worker-src': ["'self'", 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  )
  app.use('/api', api(options, passphrase))
  if (webFolder && existsSync(webFolder)) app.use(pages(webFolder))
  app.use((req) => {
    throw notFound('address', req.path.slice(0, 200))
  })
  app.use(problemHandler)
  return app
}

/** Answers are compressed; what goes on for as long as somebody listens must not wait in a buffer. */
const isCompressed: compression.CompressionFilter = (req, res) =>
  !String(res.getHeader('Content-Type')).startsWith('text/event-stream') && compression.filter(req, res)

function api(context: AppContext, passphrase: string | null): express.Router {
  const router = express.Router()
  router.use(admission())
  router.use(compression({ filter: isCompressed }))
  router.use(readBody)
  if (passphrase) {
    const { router: session, gate } = sessions(passphrase)
    router.use(session, gate)
  }
  router.get('/openapi.json', (_req, res) => {
    res.json(openApiDocument())
  })
  router.use(
    orderRoutes(context),
    comingRoutes(context),
    benchRoutes(context),
    printRoutes(context),
    logRoutes(context),
    practiceRoutes(context),
    workshopRoutes(context),
    flowerRoutes(context),
    icingRoutes(context),
    weighingRoutes(context),
    dyeRoutes(context),
    deletedRoutes(context),
    backupRoutes(context),
  )
  return router
}

/** What the build compressed is sent as it lies there; Brotli first, which every browser reads that speaks to a secure or a local page. */
const COMPRESSED = { enableBrotli: true, orderPreference: ['br', 'gz'] }

/** The built interface: files compressed where they can be, and its one page for every address that is a screen. */
function pages(folder: string): express.Router {
  const router = express.Router()
  router.use((req, _res, next) => {
    // what cannot be read is refused as anything is: the package has an answer of its own
    decodeURIComponent(req.path)
    next()
  })
  router.use(
    '/assets',
    compressed(join(folder, 'assets'), {
      ...COMPRESSED,
      serveStatic: { immutable: true, maxAge: '1y', fallthrough: false, setHeaders: plainAsset },
    }),
  )
  router.use(compressed(folder, COMPRESSED))
  router.get('/{*path}', (req, res, next) => {
    const isFile = /\.\w+$/.test(req.path)
    if (isFile || req.path === '/api' || req.path.startsWith('/api/')) next()
    else res.sendFile(join(folder, 'index.html'))
  })
  return router
}
