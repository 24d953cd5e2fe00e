import type { LayerLoad } from '../loads/index.ts'
import type { Flower, Layer, Role } from '../model/flower.ts'
import type { AddedLayer, PlacedFlower, TwoTone } from '../model/order.ts'

/** A flower as one order wants it, and the colours of its roles there, those that the order adds included. */
export interface FlowerForOrder {
  flower: Flower
  colours: PlacedFlower['colours']
}

const made = new WeakMap<Flower, Map<string, Flower>>()

/**
 * The recipe with what an order does otherwise: layers left out or added, and parts piped in two tones. The same object for the
 * same wishes, so that what is remembered of a flower holds for it.
 */
export function flowerForOrder(
  flower: Flower,
  placed: Pick<PlacedFlower, 'leftOut' | 'twoTone' | 'added' | 'colours'>,
): FlowerForOrder {
  const toned = Object.entries(placed.twoTone).filter(([role]) => flower.roles.some((r) => r.id === role))
  const left = placed.leftOut.filter((id) => flower.layers.some((l) => l.id === id))
  const { added } = placed
  if (toned.length === 0 && left.length === 0 && added.length === 0)
    return { flower, colours: placed.colours }
  const colours = {
    ...placed.colours,
    ...Object.fromEntries(toned.map(([role, tone]) => [toneRole(role), tone.colourId])),
    ...Object.fromEntries(added.map(({ layer, colourId }) => [addedRole(layer.id), colourId])),
  }
  const ofFlower = made.get(flower) ?? new Map<string, Flower>()
  made.set(flower, ofFlower)
  const key = JSON.stringify([
    left,
    toned.map(([role, { kind, share }]) => [role, kind, share]),
    added.map((a) => a.layer),
  ])
  const changed = ofFlower.get(key) ?? adapted(flower, new Set(left), new Map(toned), added)
  ofFlower.set(key, changed)
  return { flower: changed, colours }
}

/** The role of a part's second tone. */
export const toneRole = (roleId: string): string => `${roleId.slice(0, 58)}-tone`

/** The role of a layer that an order adds. */
export const addedRole = (layerId: string): string => `${layerId.slice(0, 57)}-added`

function adapted(
  flower: Flower,
  left: ReadonlySet<string>,
  toned: ReadonlyMap<string, TwoTone>,
  added: readonly AddedLayer[],
): Flower {
  const tones: Role[] = flower.roles.flatMap((role) =>
    toned.has(role.id) ? [{ id: toneRole(role.id), name: `${role.name}, second tone`, hex: role.hex }] : [],
  )
  const layers = flower.layers.filter((l) => !left.has(l.id)).map((l) => inTones(l, toned))
  const roles = added.map(({ layer }) => ({ id: addedRole(layer.id), name: layer.name, hex: '#e9dfae' }))
  const more = added.map(
    ({ layer }): Layer => ({ ...layer, load: { kind: 'plain', role: addedRole(layer.id) } }),
  )
  return { ...flower, roles: [...flower.roles, ...tones, ...roles], layers: [...layers, ...more] }
}

/** A layer of one colour in two; what the recipe already fills otherwise stays as it is. */
function inTones(layer: Layer, toned: ReadonlyMap<string, TwoTone>): Layer {
  if (layer.load.kind !== 'plain') return layer
  const { role } = layer.load
  const tone = toned.get(role)
  return tone ? { ...layer, load: loadOf(role, tone) } : layer
}

function loadOf(role: string, { kind, share }: TwoTone): LayerLoad {
  const second = toneRole(role)
  switch (kind) {
    case 'striped':
      return { kind, wideEnd: second, rest: role, border: share }
    case 'halves':
      return { kind, inner: second, outer: role }
    case 'layered':
      return { kind, tones: [second, role] }
  }
}
