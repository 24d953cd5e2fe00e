import type { LayerLoad } from '../loads/index.ts'
import type { Flower, Layer, Role } from '../model/flower.ts'
import type { PlacedFlower, TwoTone } from '../model/order.ts'
import { withWhatIsSetOn } from '../model/placeFaults.ts'

/** A flower as one order wants it, and the colours of its roles there, those that the order adds included. */
export interface FlowerForOrder {
  flower: Flower
  colours: PlacedFlower['colours']
}

/** What an order may do otherwise than a recipe. */
type Wishes = Pick<PlacedFlower, 'leftOut' | 'twoTone' | 'layerColours' | 'added' | 'colours'>

const made = new WeakMap<Flower, Map<string, Flower>>()

/**
 * The recipe with what an order does otherwise: layers left out, added or in a colour of their own, and parts piped in two
 * tones. The same object for the same wishes, so that what is remembered of a flower holds for it.
 */
export function flowerForOrder(flower: Flower, placed: Wishes): FlowerForOrder {
  const { added } = placed
  const toned = Object.entries(placed.twoTone).filter(([role]) => flower.roles.some((r) => r.id === role))
  const hasLayer = (id: string) => flower.layers.some((l) => l.id === id)
  // what is set on a layer goes with it
  const left = [...withWhatIsSetOn(flower, placed.leftOut.filter(hasLayer))]
  const own = Object.entries(placed.layerColours).filter(([id]) => hasLayer(id))
  if (toned.length + left.length + own.length + added.length === 0) return { flower, colours: placed.colours }
  const colours = {
    ...placed.colours,
    ...Object.fromEntries(toned.map(([role, tone]) => [toneRole(role), tone.colourId])),
    ...Object.fromEntries(own.map(([layer, colourId]) => [layerRole(layer), colourId])),
    ...Object.fromEntries(added.map(({ layer, colourId }) => [layerRole(layer.id), colourId])),
  }
  const ofFlower = made.get(flower) ?? new Map<string, Flower>()
  made.set(flower, ofFlower)
  const key = JSON.stringify([
    left,
    toned.map(([role, { kind, share }]) => [role, kind, share]),
    own.map(([layer]) => layer),
    added.map((a) => a.layer),
  ])
  const changed =
    ofFlower.get(key) ??
    adapted(flower, {
      left: new Set(left),
      toned: new Map(toned),
      own: new Set(own.map(([layer]) => layer)),
      added: added.map((a) => a.layer),
    })
  ofFlower.set(key, changed)
  return { flower: changed, colours }
}

/** The role of a part's second tone. */
export const toneRole = (roleId: string): string => `${roleId.slice(0, 58)}-tone`

/** The role of a layer that an order pipes in a colour of its own. */
export const layerRole = (layerId: string): string => `${layerId.slice(0, 58)}-own`

/** What a role is shown in until its colour is known. */
const UNKNOWN_HEX = '#e9dfae'

function adapted(
  flower: Flower,
  wishes: {
    left: ReadonlySet<string>
    toned: ReadonlyMap<string, TwoTone>
    own: ReadonlySet<string>
    added: readonly Layer[]
  },
): Flower {
  const { left, toned, own, added } = wishes
  const tones: Role[] = flower.roles.flatMap((role) =>
    toned.has(role.id) ? [{ id: toneRole(role.id), name: `${role.name}, second tone`, hex: role.hex }] : [],
  )
  const alone = [...flower.layers.filter((l) => own.has(l.id)), ...added]
  const layers = flower.layers
    .filter((l) => !left.has(l.id))
    .map((l) => (own.has(l.id) ? inOwnColour(l) : inTones(l, toned)))
  return {
    ...flower,
    roles: [
      ...flower.roles,
      ...tones,
      ...alone.map(({ id, name }) => ({ id: layerRole(id), name, hex: UNKNOWN_HEX })),
    ],
    layers: [...layers, ...added.map(inOwnColour)],
  }
}

const inOwnColour = (layer: Layer): Layer => ({
  ...layer,
  load: { kind: 'plain', role: layerRole(layer.id) },
})

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
