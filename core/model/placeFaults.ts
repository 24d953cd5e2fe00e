import type { Places } from '../places/index.ts'

/** What has to be known of a flower to see whether everything in it can be set where it says. */
interface Sets {
  florets: readonly Placed[]
  layers: readonly (Placed & { floretId: string | null })[]
}
interface Placed {
  id: string
  name: string
  count: number
  spreadDeg: number
  at: Places
}

/** Strokes of one layer, those of all its florets together: more than anybody pipes, and as many as can be shown. */
export const MOST_STROKES = 1200

/**
 * How many strokes a layer is, over all its florets and all places of the layer that it is set on.
 * @returns 0 where it is set on what is not there.
 */
export function strokesOf(flower: Sets, layerId: string): number {
  const layer = flower.layers.find((l) => l.id === layerId)
  if (!layer) return 0
  const own = layer.count * placesFor(flower, layer.at, flower.layers.indexOf(layer))
  if (layer.floretId === null) return own
  const floret = flower.florets.find((f) => f.id === layer.floretId)
  if (!floret) return 0
  return own * floret.count * placesFor(flower, floret.at, flower.layers.length)
}

/** At how many places a ring stands. */
function placesFor(flower: Sets, at: Places, before: number): number {
  if (at.kind !== 'layer') return 1
  const i = flower.layers.findIndex((l) => l.id === at.layerId)
  if (i < 0 || i >= before) return 0
  const other = flower.layers[i]!
  const strokes = other.count * placesFor(flower, other.at, i)
  // a row that does not go all round has one gap fewer than strokes
  const open = at.at === 'between' && !(other.at.kind === 'ring' && other.spreadDeg >= 360)
  return open ? Math.max(1, strokes - 1) : strokes
}

/** Layers that are set on one of these, on what is set on them, and so on; those themselves included. */
export function withWhatIsSetOn(flower: Sets, ids: Iterable<string>): Set<string> {
  const all = new Set(ids)
  const standsOn = (at: Places) => at.kind === 'layer' && all.has(at.layerId)
  // every layer is set on one that comes before it
  for (const layer of flower.layers) {
    const floret = flower.florets.find((f) => f.id === layer.floretId)
    if (standsOn(layer.at) || (floret && standsOn(floret.at))) all.add(layer.id)
  }
  return all
}

/** What is set where nothing is, or is more than can be piped, each with the field that says so. */
export function placeFaults(flower: Sets): { path: (string | number)[]; message: string }[] {
  const faults: { path: (string | number)[]; message: string }[] = []
  flower.layers.forEach((layer, i) => {
    if (layer.floretId !== null && !flower.florets.some((f) => f.id === layer.floretId))
      faults.push({
        path: ['layers', i, 'floretId'],
        message: `The flower has no floret "${layer.floretId}". Take the layer out of it, or add the floret.`,
      })
    const { at } = layer
    if (at.kind === 'layer') {
      const other = flower.layers.findIndex((l) => l.id === at.layerId)
      if (other < 0 || other >= i)
        faults.push({
          path: ['layers', i, 'at', 'layerId'],
          message: 'It is set on a layer that is not piped before it. Move it later, or set it elsewhere.',
        })
      else if (flower.layers[other]!.floretId !== layer.floretId)
        faults.push({
          path: ['layers', i, 'at', 'layerId'],
          message: 'It is set on a layer of another floret. Choose one of its own floret.',
        })
    }
    if (strokesOf(flower, layer.id) > MOST_STROKES)
      faults.push({
        path: ['layers', i, 'count'],
        message: `“${layer.name}” comes to more than ${MOST_STROKES} strokes in one flower. Pipe fewer, or fewer florets.`,
      })
  })
  flower.florets.forEach(({ id, at }, i) => {
    if (at.kind !== 'layer') return
    const other = flower.layers.findIndex((l) => l.id === at.layerId)
    const first = flower.layers.findIndex((l) => l.floretId === id)
    if (other < 0 || flower.layers[other]!.floretId !== null || (first >= 0 && other > first))
      faults.push({
        path: ['florets', i, 'at', 'layerId'],
        message:
          'It is set on a layer that is not piped before it. Choose one of the flower itself, before its florets.',
      })
  })
  return faults
}
