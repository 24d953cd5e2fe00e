import { z } from 'zod'
import { halves } from './halves.ts'
import { layered } from './layered.ts'
import { leftBehind } from './leftBehind.ts'
import type { LoadDefinition, LoadLook } from './load.ts'
import { plain } from './plain.ts'
import { striped } from './striped.ts'

export type { LoadLook }

/** Every way to fill a bag. */
export const loads = { plain, striped, halves, layered, leftBehind }
export type LoadKind = keyof typeof loads

export const layerLoadSchema = z.discriminatedUnion('kind', [
  plain.schema,
  striped.schema,
  halves.schema,
  layered.schema,
  leftBehind.schema,
])
export type LayerLoad = z.infer<typeof layerLoadSchema>

/** The definition behind any load. */
export function loadDefinition(kind: LoadKind): LoadDefinition {
  return loads[kind] as unknown as LoadDefinition
}

/** The role ids a load draws on, the wide end, inside or darkest first. */
export function loadRoles(load: LayerLoad): string[] {
  return loadDefinition(load.kind)
    .roles(load)
    .map((r) => r.role)
}

/** The same load with every role it names replaced. */
export function withRoles(load: LayerLoad, replaced: (role: string) => string): LayerLoad {
  const next = structuredClone(load)
  for (const { path, role } of loadDefinition(load.kind).roles(load)) {
    const holder = path
      .slice(0, -1)
      .reduce((at, key) => at[key] as never, next as never as Record<string, unknown>)
    holder[path.at(-1)!] = replaced(role)
  }
  return next
}

/** A load of another kind made of the roles of this one, others of the flower where it needs more. */
export function loadOfKind(kind: LoadKind, load: LayerLoad, roles: readonly string[]): LayerLoad {
  const own = loadRoles(load)
  const pool = [...new Set([...own, ...roles])]
  const main = own.at(-1)!
  const other = pool.find((r) => r !== main) ?? main
  switch (kind) {
    case 'plain':
      return { kind, role: main }
    case 'striped':
      return { kind, wideEnd: other, rest: main, border: 0.36 }
    case 'halves':
      return { kind, inner: other, outer: main }
    case 'layered':
      return { kind, tones: [other, main] }
    case 'leftBehind':
      return { kind, first: other, next: main, share: 0.12 }
  }
}
