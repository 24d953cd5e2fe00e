import type { Flower, Layer } from '../model/flower.ts'
import { placeFaults, withWhatIsSetOn } from '../model/placeFaults.ts'
import { stepKey } from '../model/toolStep.ts'
import { ON_A_RING } from '../places/index.ts'
import type { StrokeKind } from '../strokes/index.ts'

/**
 * A layer of a stroke to begin from, in the given role.
 * @param library flowers that have every stroke between them; the first that has this one is followed.
 * @throws RangeError when none of them has it.
 */
export function startingLayer(library: readonly Flower[], kind: StrokeKind, role: string, id: string): Layer {
  for (const flower of library) {
    const like = flower.layers.find((l) => l.stroke.kind === kind)
    if (like) return { ...like, id, load: { kind: 'plain', role }, ...ALL_ROUND }
  }
  throw new RangeError(`The library has no flower with the stroke "${kind}".`)
}

/** Where what is added stands until somebody says otherwise. */
const ALL_ROUND = { startDeg: 0, spreadDeg: 360, at: ON_A_RING, floretId: null }

/** The flower with one layer changed. */
export function changeLayer(flower: Flower, id: string, part: Partial<Layer>): Flower {
  return { ...flower, layers: flower.layers.map((l) => (l.id === id ? { ...l, ...part } : l)) }
}

/** The flower with a layer put in after another, or first. */
export function insertLayer(flower: Flower, layer: Layer, afterId: string | null): Flower {
  const at = afterId === null ? 0 : flower.layers.findIndex((l) => l.id === afterId) + 1
  return { ...flower, layers: flower.layers.toSpliced(at, 0, layer) }
}

/** The same layer once more, after the first. */
export function duplicateLayer(flower: Flower, id: string, newId: string): Flower {
  const layer = flower.layers.find((l) => l.id === id)
  return layer ? insertLayer(flower, { ...layer, id: newId }, id) : flower
}

/** The flower without a layer; a flower keeps its last one. What was set on it stands on a ring. */
export function removeLayer(flower: Flower, id: string): Flower {
  const layers = flower.layers.filter((l) => l.id !== id)
  return layers.length > 0 ? standing({ ...flower, layers }) : flower
}

/** The flower with a layer moved so many places later (or earlier); at the ends it stays. */
export function moveLayer(flower: Flower, id: string, by: number): Flower {
  const from = flower.layers.findIndex((l) => l.id === id)
  return moveLayerTo(flower, id, Math.min(flower.layers.length - 1, Math.max(0, from + by)))
}

/**
 * The flower with a layer moved to a place among the others. What is set on a layer stays after it, and what carries
 * others before them: where that would be broken, nothing is moved.
 */
export function moveLayerTo(flower: Flower, id: string, to: number): Flower {
  const from = flower.layers.findIndex((l) => l.id === id)
  if (from < 0 || from === to) return flower
  const layers = flower.layers.toSpliced(from, 1).toSpliced(to, 0, flower.layers[from]!)
  const moved = { ...flower, layers }
  return placeFaults(moved).length > 0 ? flower : moved
}

/** The same flower with everything on a ring that was set on what is not there any more, and no floret without a layer. */
export function standing(flower: Flower): Flower {
  const florets = flower.florets.filter((f) => flower.layers.some((l) => l.floretId === f.id))
  const kept = florets.length === flower.florets.length ? flower : { ...flower, florets }
  const astray = new Set(
    placeFaults(kept).flatMap(({ path: [list, i, field] }) =>
      field === 'at' ? [kept[list as 'layers' | 'florets'][i as number]!.id] : [],
    ),
  )
  if (astray.size === 0) return kept
  const upright = <T extends { id: string }>(set: T): T =>
    astray.has(set.id) ? { ...set, at: ON_A_RING } : set
  return { ...kept, florets: kept.florets.map(upright), layers: kept.layers.map(upright) }
}

/** The flower without some layers and what is set on them, or without tool steps, as it is looked at; whole where nothing else would be left. */
export function lookedAtWithout(flower: Flower, ids: Iterable<string>): Flower {
  const left = withWhatIsSetOn(flower, ids)
  const kept = flower.layers.filter((l) => !left.has(l.id))
  if (left.size === 0 || kept.length === 0) return flower
  const layers = kept.map((l) =>
    l.tools.some((step) => left.has(stepKey(l, step)))
      ? { ...l, tools: l.tools.filter((step) => !left.has(stepKey(l, step))) }
      : l,
  )
  return { ...flower, layers }
}

/** The layer of an id; of a tool step's key the one that it is done to. */
export const layerWith = (flower: Flower, id: string | null): Layer | undefined =>
  flower.layers.find((l) => l.id === id || l.tools.some((step) => stepKey(l, step) === id))
