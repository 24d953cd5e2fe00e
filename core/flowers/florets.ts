import { loadRoles, withRoles } from '../loads/index.ts'
import { type Floret, type Flower, type Layer, MOST_ROLES, type Role } from '../model/flower.ts'
import type { OwnedTip } from '../model/tip.ts'
import { ON_A_RING } from '../places/index.ts'
import { standing } from './edit.ts'
import { fitFlower } from './resolve.ts'

/** A floret as it is begun: five on a ring, to be set elsewhere. */
const begun = (id: string, name: string): Floret => ({
  id,
  name,
  count: 5,
  ringMm: 12,
  heightMm: 0,
  startDeg: 0,
  spreadDeg: 360,
  at: ON_A_RING,
  looseDeg: 20,
  nodsDeg: 0,
})

/** Layers that belong together without being set elsewhere: a floret of which there is one, on the axis. */
const grouped = (id: string): Floret => ({ ...begun(id, 'Group'), count: 1, ringMm: 0, looseDeg: 0 })

/** Whether a floret only holds layers together. */
export const isGroup = ({ count, ringMm, heightMm, at, looseDeg, nodsDeg }: Floret): boolean =>
  count === 1 && ringMm === 0 && heightMm === 0 && at.kind === 'ring' && looseDeg === 0 && nodsDeg === 0

/** The layers of a floret as a flower of their own. */
export function floretAlone(flower: Flower, floretId: string): Flower {
  const layers = flower.layers.filter((l) => l.floretId === floretId).map((l) => ({ ...l, floretId: null }))
  return { ...flower, id: floretId, form: 'flower', florets: [], layers }
}

/**
 * The flower with another one, small and whole, as a floret after all its layers. Colours of the same name are one
 * colour. What the other is itself made of florets by is left out.
 * @returns null where it has no layer of its own, or the two ask for more colours than a flower may.
 */
export function addFloret(flower: Flower, other: Flower, newId: () => string): Flower | null {
  const floret = begun(newId(), other.name)
  const own = other.layers.filter((l) => l.floretId === null)
  const asked = new Set(own.flatMap((l) => loadRoles(l.load)))
  const roles: Role[] = [...flower.roles]
  const renamed = new Map<string, string>()
  for (const role of other.roles.filter((r) => asked.has(r.id))) {
    const same = roles.find((r) => r.name.toLowerCase() === role.name.toLowerCase())
    const id = same?.id ?? newId()
    renamed.set(role.id, id)
    if (!same) roles.push({ ...role, id })
  }
  if (own.length === 0 || roles.length > MOST_ROLES) return null
  const ids = new Map(own.map((l) => [l.id, newId()]))
  const layers = own.map(
    (l): Layer => ({
      ...l,
      id: ids.get(l.id)!,
      floretId: floret.id,
      at: l.at.kind === 'layer' ? { ...l.at, layerId: ids.get(l.at.layerId) ?? l.at.layerId } : l.at,
      load: withRoles(l.load, (role) => renamed.get(role) ?? role),
    }),
  )
  return standing({
    ...flower,
    roles,
    florets: [...flower.florets, floret],
    layers: [...flower.layers, ...layers],
  })
}

/** The flower with a layer in a floret: one that is there, a new one to be set elsewhere or a new group, or none. */
export function putInFloret(
  flower: Flower,
  layerId: string,
  floretId: string | null,
  as: 'floret' | 'group' = 'floret',
): Flower {
  const isNew = floretId !== null && !flower.florets.some((f) => f.id === floretId)
  const layer = flower.layers.find((l) => l.id === layerId)
  if (!layer) return flower
  const made = () => (as === 'group' ? grouped(floretId!) : begun(floretId!, layer.name))
  const florets = isNew ? [...flower.florets, made()] : flower.florets
  return standing({
    ...flower,
    florets,
    layers: flower.layers.map((l) => (l.id === layerId ? { ...l, floretId } : l)),
  })
}

/** The flower with a floret changed. */
export function changeFloret(flower: Flower, id: string, part: Partial<Floret>): Flower {
  return { ...flower, florets: flower.florets.map((f) => (f.id === id ? { ...f, ...part } : f)) }
}

/** The flower with a floret and its layers once more, after all others; what was set on its layers is set on the copies. */
export function duplicateFloret(flower: Flower, id: string, newId: () => string): Flower {
  const floret = flower.florets.find((f) => f.id === id)
  if (!floret) return flower
  const own = flower.layers.filter((l) => l.floretId === id)
  const copy = { ...floret, id: newId() }
  const ids = new Map(own.map((l) => [l.id, newId()]))
  const layers = own.map(
    (l): Layer => ({
      ...l,
      id: ids.get(l.id)!,
      floretId: copy.id,
      at: l.at.kind === 'layer' ? { ...l.at, layerId: ids.get(l.at.layerId) ?? l.at.layerId } : l.at,
    }),
  )
  return { ...flower, florets: [...flower.florets, copy], layers: [...flower.layers, ...layers] }
}

/** The flower without a floret and its layers; a flower keeps its last layer. */
export function removeFloret(flower: Flower, id: string): Flower {
  const layers = flower.layers.filter((l) => l.floretId !== id)
  return layers.length > 0 ? standing({ ...flower, layers }) : flower
}

/** How wide a floret is by itself, mm. */
export const floretWidth = (flower: Flower, id: string, tips: readonly OwnedTip[]): number =>
  fitFlower(floretAlone(flower, id), { sizeMm: null, tips: {} }, tips).measure.diameterMm

/** The layers of a floret made so wide: its lengths, and tips as that size asks for. Takes a few piles. */
export function resizedFloret(
  flower: Flower,
  id: string,
  wideMm: number,
  tips: readonly OwnedTip[],
): Layer[] {
  const fitted = fitFlower(floretAlone(flower, id), { sizeMm: wideMm, tips: {} }, tips)
  return fitted.layers.map(({ layer, tip }) => ({ ...layer, tipId: tip.id, floretId: id }))
}

/** The flower with some of its layers as they are given; those that it does not have any more are left out. */
export function withLayers(flower: Flower, layers: readonly Layer[]): Flower {
  return { ...flower, layers: flower.layers.map((l) => layers.find((o) => o.id === l.id) ?? l) }
}
