import { z } from 'zod'
import { bouquet } from './bouquet.ts'
import { cake } from './cake.ts'
import type { Chart } from './chart.ts'
import { cookie } from './cookie.ts'
import { cupcake } from './cupcake.ts'
import { drawn } from './drawn.ts'
import { heart } from './heart.ts'
import { hexagon } from './hexagon.ts'
import { number } from './number.ts'
import { ring } from './ring.ts'
import { sheet } from './sheet.ts'
import type { SurfaceDefinition } from './surface.ts'

/** Every kind of piece. */
export const surfaces = { cupcake, cookie, cake, sheet, heart, hexagon, ring, number, drawn, bouquet }
export type SurfaceKind = keyof typeof surfaces

export const surfaceSchema = z.discriminatedUnion('kind', [
  cupcake.schema,
  cookie.schema,
  cake.schema,
  sheet.schema,
  heart.schema,
  hexagon.schema,
  ring.schema,
  number.schema,
  drawn.schema,
  bouquet.schema,
])
export type Surface = z.infer<typeof surfaceSchema>

/** The definition behind any piece's shape. */
export function surfaceDefinition(kind: SurfaceKind): SurfaceDefinition {
  return surfaces[kind] as unknown as SurfaceDefinition
}

/** Area in mm² of a piece that is seen when it is coated and bare. */
export function seenAreaMm2(shape: Surface): number {
  return surfaceDefinition(shape.kind)
    .bodies(shape)
    .reduce((sum, body) => sum + body.seenMm2, 0)
}

/** How a piece's surface is measured and moved about on. */
export const chartOf = (shape: Surface): Chart => surfaceDefinition(shape.kind).chart(shape)

/** Whether a piece stands on a board of its own: cakes do, and bouquets. */
export const standsOnBoard = (shape: Surface): boolean =>
  shape.kind === 'bouquet' ||
  surfaceDefinition(shape.kind)
    .edges(shape)
    .some((e) => e.id === 'foot')
