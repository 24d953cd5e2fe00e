import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { expect, it } from 'vitest'

/** What the linter cannot see: core has no clock, no dice, no page and no network. */
it('core reads no clock, rolls no dice and touches no page', () => {
  const root = fileURLToPath(new URL('.', import.meta.url))
  const files = readdirSync(root, { recursive: true, encoding: 'utf8' }).filter(
    (f) => f.endsWith('.ts') && !f.endsWith('.test.ts'),
  )
  expect(files.length).toBeGreaterThan(60)
  const impure = /\b(Math\.random|Date\.now|new Date\(\)|performance\.|document\.|window\.|fetch\()/
  const found = files.filter((f) => impure.test(readFileSync(join(root, f), 'utf8')))
  expect(found).toEqual([])
})
