import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { checkNode, ensureDebian, ensurePackages, postgresql, root } from './setup.mjs'

/** `npm run dev`: the server restarting on change, and the interface with hot reload in front of it. */
checkNode()
if (!process.env.DATABASE_URL) ensureDebian([postgresql])
ensurePackages()

const children = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'server/start.ts', '--demo'], {
    cwd: root,
    stdio: 'inherit',
  }),
  spawn(join(root, 'node_modules/.bin/vite'), [], { cwd: root, stdio: 'inherit' }),
]
const stop = (signal) => {
  for (const child of children) child.kill(signal)
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => stop(signal))
for (const child of children) child.on('exit', () => stop('SIGTERM'))
