import { readFileSync } from 'node:fs'
import { matchRoutes, type RouteObject } from 'react-router'
import { expect, it } from 'vitest'
import screens from '../e2e/screens.json' with { type: 'json' }
import { routes } from './routes.tsx'

/** Screens of what must be made first; e2e/screens.ts and e2e/bench.spec.ts make it. */
const MADE = ['/flowers/own', '/logbook/entry', '/bench/run']

it('every route is among the screens that are measured, looked at by axe and pictured', () => {
  const shown = [...screens.map((s) => s.path), ...MADE].map((path) => new URL(path, 'http://x').pathname)
  const reached = new Set(
    shown.flatMap((path) => (matchRoutes(routes, path) ?? []).map(({ route }) => route as RouteObject)),
  )
  const missing: string[] = []
  const visit = (all: readonly RouteObject[], at: string) => {
    for (const route of all) {
      const here = `${at}/${route.path ?? (route.index ? '' : '*')}`
      // what only leads on is no screen
      const leads = route.index && route.element !== undefined
      if (!leads && !reached.has(route)) missing.push(here)
      if (route.children) visit(route.children, here)
    }
  }
  visit(routes, '')
  expect(missing).toEqual([])
})

it('the pictures of the main views are there, and no others', () => {
  const kept = screens.filter((s) => 'kept' in s && s.kept).map((s) => s.name)
  const readme = readFileSync(new URL('../README.md', import.meta.url), 'utf8')
  for (const name of kept) expect(readme).toContain(`docs/screenshots/${name}.png`)
})
