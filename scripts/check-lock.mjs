import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fail, root } from './setup.mjs'

/**
 * npm silently leaves out optional platform packages that it could not find, and `npm ci` then fails elsewhere.
 * It also writes where packages came from unless told not to. Neither may be in the lock file.
 */
const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'))
const packages = Object.entries(lock.packages)
const missing = packages.flatMap(([path, { optionalDependencies = {} }]) =>
  Object.keys(optionalDependencies)
    .filter((name) => !packages.some(([other]) => other.endsWith(`node_modules/${name}`)))
    .map((name) => `${path}: ${name}`),
)
if (missing.length > 0) fail(`Optional packages missing from package-lock.json:\n${missing.join('\n')}`)
const placed = packages.filter(([, { resolved }]) => resolved)
if (placed.length > 0)
  fail(`package-lock.json says where ${placed.length} packages came from. Install with the project's .npmrc.`)
console.log(`${packages.length} packages, every optional one accounted for`)
