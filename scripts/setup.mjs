import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** The set-up steps that `npm run demo`, `npm run dev` and `npm test` share. Plain Node: runs before `npm ci`. */

export const root = fileURLToPath(new URL('..', import.meta.url))

/** Says what is wrong and ends the program. */
export function fail(message) {
  console.error(`\n${message}`)
  process.exit(1)
}

/** Runs a program with its output shown; ends this one if it fails. */
export function run(command, args, env = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } })
  if (done.error) fail(`${command} could not be started: ${done.error.message}`)
  if (done.signal) process.exit(130)
  return done.status ?? 1
}

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    fail(`Kanten needs Node.js 20.19 or newer; this is ${process.versions.node}.`)
}

/** Debian packages by the file each one brings. Installs what is missing as root, or says what to run. */
export function ensureDebian(wanted) {
  const missing = wanted.filter(({ present }) => !present()).map(({ name }) => name)
  if (missing.length === 0) return
  const command = `apt-get install --yes --no-install-recommends ${missing.join(' ')}`
  if (process.getuid?.() !== 0)
    fail(`Debian packages are missing: ${missing.join(', ')}.\nRun: sudo apt-get update && sudo ${command}`)
  console.log(`Installing Debian packages: ${missing.join(', ')}`)
  const wait = ['-o', 'DPkg::Lock::Timeout=300']
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  run('apt-get', [...wait, 'update', '--quiet'], env)
  if (run('apt-get', [...wait, ...command.split(' ').slice(1)], env) !== 0)
    fail(`The Debian packages could not be installed. Try: ${command}`)
}

export const postgresql = {
  name: 'postgresql',
  present: () =>
    existsSync('/usr/lib/postgresql') &&
    readdirSync('/usr/lib/postgresql').some((v) => existsSync(`/usr/lib/postgresql/${v}/bin/initdb`)),
}

export const chromium = { name: 'chromium', present: () => existsSync('/usr/bin/chromium') }

/** `npm ci`, only when the lock file differs from what was installed last. */
export function ensurePackages() {
  onChange('packages', [join(root, 'package-lock.json')], existsSync(join(root, 'node_modules')), () => {
    console.log('Installing npm packages')
    if (run('npm', ['ci', '--no-audit', '--no-fund']) !== 0) fail('npm ci failed; see above.')
  })
}

/** Builds the interface, only when something it is made of has changed. */
export function ensureBuild() {
  // scripts too: they say how the build is cut
  const made = ['web', 'core', 'contract', 'scripts'].flatMap((folder) => filesBelow(join(root, folder)))
  const settings = ['package-lock.json', 'vite.config.ts', 'tsconfig.json'].map((f) => join(root, f))
  onChange('build', [...made, ...settings], existsSync(join(root, 'dist', 'index.html')), () => {
    console.log('Building the interface')
    if (run(join(root, 'node_modules/.bin/vite'), ['build', '--logLevel', 'warn']) !== 0)
      fail('The build failed; see above.')
  })
}

/** Runs `work` unless it was done before on the same files; remembers that it was done. */
function onChange(name, files, present, work) {
  const hash = createHash('sha256')
  for (const file of files.sort()) hash.update(file.slice(root.length)).update(readFileSync(file))
  const digest = hash.digest('hex')
  const stamp = join(root, 'node_modules', '.kanten', name)
  if (present && existsSync(stamp) && readFileSync(stamp, 'utf8') === digest) return
  work()
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, digest)
}

function filesBelow(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesBelow(path) : [path]
  })
}
