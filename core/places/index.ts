import { z } from 'zod'
import { cone } from './cone.ts'
import { dome } from './dome.ts'
import { line } from './line.ts'
import { onLayerSchema } from './onLayer.ts'
import { ring } from './ring.ts'
import { scatter } from './scatter.ts'
import type { PlacesDefinition, Ring, Spot } from './spot.ts'

/** Every way to set strokes that stands by itself. */
export const places = { ring, dome, cone, line, scatter }

export const placesSchema = z.discriminatedUnion('kind', [
  ring.schema,
  dome.schema,
  cone.schema,
  line.schema,
  scatter.schema,
  onLayerSchema,
])
export type Places = z.infer<typeof placesSchema>
export type PlacesKind = Places['kind']
/** Those that need no other layer. */
export type OwnPlaces = Exclude<Places, { kind: 'layer' }>

/** What the places at another layer are called. */
export const ON_LAYER_LABEL = 'at another layer'

/** A ring with nothing more to say. */
export const ON_A_RING: Places = { kind: 'ring' }

/** The spots of places that stand by themselves. */
export function ownSpots(at: OwnPlaces, of: Ring): Spot[] {
  const definition = places[at.kind] as unknown as PlacesDefinition
  return definition.spots(at, of)
}
