import { spawn } from 'node:child_process'
import { checkNode, ensureBuild, ensureDebian, ensurePackages, postgresql, root } from './setup.mjs'

/** `npm run demo`: sets everything up and starts Kanten with the demo bakery. */
checkNode()
if (!process.env.DATABASE_URL) ensureDebian([postgresql])
ensurePackages()
ensureBuild()

const server = spawn(process.execPath, ['--import', 'tsx', 'server/start.ts', '--demo'], {
  cwd: root,
  stdio: 'inherit',
})
// Ctrl-C reaches the server too: this process only waits for it to stop
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))
server.on('exit', (code) => process.exit(code ?? 0))
