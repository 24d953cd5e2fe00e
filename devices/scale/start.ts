import { readFileSync } from 'node:fs'
import express, { type Response } from 'express'
import { SIMULATED_SCALE, SIMULATED_SCALE_PORT } from '#contract/scale'
import { Plate } from './plate.ts'

/** `npm run scale`: a kitchen scale that is only simulated, with a page to put things on it. */
const TICK_MS = 50
/** Lines a second, as scales commonly send. */
const LINE_MS = 100

const plate = new Plate()
const listening = new Set<Response>()
const app = express()
app.use(express.json())
app.use((_req, res, next) => {
  // whatever page of this machine asks: it is a toy on loopback, and tells nothing but a weight
  res.setHeader('Access-Control-Allow-Origin', '*')
  next()
})
app.get('/', (_req, res) => {
  res.type('html').send(readFileSync(new URL('page.html', import.meta.url)))
})
app.get('/page.js', (_req, res) => {
  res.type('js').send(readFileSync(new URL('page.js', import.meta.url)))
})
app.get('/lines', (req, res) => {
  if (!plate.plugged) return void res.status(503).end()
  res.type('text/event-stream').flushHeaders()
  listening.add(res)
  req.on('close', () => listening.delete(res))
})
app.post('/tare', (_req, res) => {
  plate.tare()
  res.status(204).end()
})
app.post('/set', (req, res) => {
  const { loadGrams, noiseGrams, driftGrams, shaken, plugged } = req.body as Record<string, unknown>
  if (typeof loadGrams === 'number' && loadGrams >= 0) plate.loadGrams = loadGrams
  if (typeof noiseGrams === 'number' && noiseGrams >= 0) plate.noiseGrams = noiseGrams
  if (typeof driftGrams === 'number') plate.driftGrams = driftGrams
  if (typeof shaken === 'boolean') plate.shaken = shaken
  if (typeof plugged === 'boolean') plate.plugged = plugged
  if (!plate.plugged) for (const res of listening) res.end()
  res.json({ ...plate })
})
let last = Date.now()
setInterval(() => {
  const now = Date.now()
  plate.tick(now, now - last)
  last = now
}, TICK_MS)
setInterval(() => {
  const line = plate.line(Date.now())
  for (const res of listening) res.write(`data: ${line}\n\n`)
}, LINE_MS)
const server = app.listen(SIMULATED_SCALE_PORT, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`The scale cannot stand at ${SIMULATED_SCALE}: ${error.message}`)
    process.exit(1)
  }
  console.log(`A simulated kitchen scale is at ${SIMULATED_SCALE}`)
  console.log('Stop it with Ctrl-C.')
})
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.closeAllConnections()
    server.close(() => process.exit(0))
  })
