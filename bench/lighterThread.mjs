import { parentPort } from 'node:worker_threads'
import { register } from 'tsx/esm/api'

register()
const { firstLighter } = await import('./lighterFirst.ts')
parentPort.postMessage(firstLighter())
process.exit(0)
