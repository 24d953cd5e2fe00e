import { checkNode, ensurePackages, run } from './setup.mjs'

/** `npm run scale`: a simulated kitchen scale on loopback. */
checkNode()
ensurePackages()
process.exit(run(process.execPath, ['--import', 'tsx', 'devices/scale/start.ts']))
