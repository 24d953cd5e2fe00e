import { z } from 'zod'
import { cookie } from './cookie.ts'
import { cupcake } from './cupcake.ts'
import { sheet } from './sheet.ts'
import type { SurfaceDefinition } from './surface.ts'
import { tier } from './tier.ts'

/** Every kind of piece. */
export const surfaces = { cupcake, cookie, tier, sheet }
export type SurfaceKind = keyof typeof surfaces

export const surfaceSchema = z.discriminatedUnion('kind', [
  cupcake.schema,
  cookie.schema,
  tier.schema,
  sheet.schema,
])
export type Surface = z.infer<typeof surfaceSchema>

/** The definition behind any piece's shape. */
export function surfaceDefinition(kind: SurfaceKind): SurfaceDefinition {
  return surfaces[kind] as unknown as SurfaceDefinition
}
