import { readFileSync } from 'node:fs'
import type { Plugin } from 'vite'

/** What stands in the list for every page, not for a component. */
const FOR_ALL = new Set(['baseline', 'default-css-variables', 'global'])

/** Fails the build when a component is used without its styles, or its styles come along unused. */
export function mantineStyles(list: URL): Plugin {
  return {
    name: 'mantine-styles',
    apply: 'build',
    generateBundle(_, bundle) {
      const used = new Set<string>()
      for (const chunk of Object.values(bundle)) {
        if (chunk.type !== 'chunk') continue
        for (const [id, { renderedLength }] of Object.entries(chunk.modules)) {
          const component = /@mantine\/core\/.*\/(\w+)\.module\.mjs$/.exec(id)?.[1]
          if (component && renderedLength > 0) used.add(component)
        }
      }
      const listed = new Set(
        [...readFileSync(list, 'utf8').matchAll(/styles\/([\w-]+)\.css/g)].map(([, name]) => name!),
      )
      const missing = [...used].filter((name) => !listed.has(name))
      const over = [...listed].filter((name) => !used.has(name) && !FOR_ALL.has(name))
      if (missing.length + over.length > 0)
        this.error(
          `${list.pathname}: add the styles of ${missing.join(', ') || 'none'}, take out those of ${over.join(', ') || 'none'}.`,
        )
    },
  }
}
