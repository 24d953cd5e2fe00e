import { catalogueFlowers } from '../catalogue/flowers/index.ts'
import type { Flower, Layer } from '../model/flower.ts'
import type { StrokeKind } from '../strokes/index.ts'

/** A layer of a stroke to begin from: as the library's first flower with that stroke has it, in the given role. */
export function startingLayer(kind: StrokeKind, role: string, id: string): Layer {
  for (const flower of catalogueFlowers) {
    const like = flower.layers.find((l) => l.stroke.kind === kind)
    if (like) return { ...like, id, load: { kind: 'plain', role } }
  }
  throw new RangeError(`The library has no flower with the stroke "${kind}".`)
}

/** The flower with one layer changed. */
export function changeLayer(flower: Flower, id: string, part: Partial<Layer>): Flower {
  return { ...flower, layers: flower.layers.map((l) => (l.id === id ? { ...l, ...part } : l)) }
}

/** The flower with a layer put in after another, or first. */
export function insertLayer(flower: Flower, layer: Layer, afterId: string | null): Flower {
  const at = afterId === null ? 0 : flower.layers.findIndex((l) => l.id === afterId) + 1
  return { ...flower, layers: flower.layers.toSpliced(at, 0, layer) }
}

/** The flower without a layer; a flower keeps its last one. */
export function removeLayer(flower: Flower, id: string): Flower {
  const layers = flower.layers.filter((l) => l.id !== id)
  return layers.length > 0 ? { ...flower, layers } : flower
}

/** The flower with a layer moved so many places later (or earlier); at the ends it stays. */
export function moveLayer(flower: Flower, id: string, by: number): Flower {
  const from = flower.layers.findIndex((l) => l.id === id)
  const to = Math.min(flower.layers.length - 1, Math.max(0, from + by))
  if (from < 0 || from === to) return flower
  return { ...flower, layers: flower.layers.toSpliced(from, 1).toSpliced(to, 0, flower.layers[from]!) }
}
