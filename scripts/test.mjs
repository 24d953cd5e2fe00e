import { join } from 'node:path'
import {
  checkNode,
  chromium,
  ensureBuild,
  ensureDebian,
  ensurePackages,
  fail,
  postgresql,
  root,
  run,
} from './setup.mjs'

/** `npm test`: sets up what the tests need, then lint, types, unit and API tests, browser tests. */
checkNode()
ensureDebian([postgresql, chromium])
ensurePackages()

const bin = (name) => join(root, 'node_modules/.bin', name)
const steps = [
  ['Lint and import direction', bin('biome'), ['check', '.']],
  ['Lock file', process.execPath, ['scripts/check-lock.mjs']],
  ['Types', bin('tsc'), ['--noEmit']],
  ['Published formats', process.execPath, ['--import', 'tsx', 'scripts/formats.ts', '--check']],
  ['Lettering faces', process.execPath, ['--import', 'tsx', 'scripts/faces.ts', '--check']],
  ['Unit and API tests', bin('vitest'), ['run']],
]
for (const [name, command, args] of steps) {
  console.log(`\n${name}`)
  if (run(command, args) !== 0) fail(`${name}: failed.`)
}
ensureBuild()
console.log('\nBrowser tests')
if (run(bin('playwright'), ['test']) !== 0) fail('Browser tests: failed.')
