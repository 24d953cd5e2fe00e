import type { ResolvedLayer } from '../flowers/layers.ts'
import { pileLayers } from '../flowers/piled.ts'
import type { BorderRun } from '../flowers/run.ts'
import { drawPiles, unitSeed } from '../mesh/flowerMesh.ts'
import { pile } from '../pile/pile.ts'
import type { FlowerMesh } from '../solids/mesh.ts'
import { type Show, showOf } from './show.ts'

/** A flower's solid and how it comes about. Without what is done to it with tools: that comes after. */
export interface Demonstration {
  mesh: FlowerMesh
  show: Show
}

/**
 * Pipes a flower to be watched: the same seed gives the same as its solid.
 * @param detail as for a solid.
 */
export function demonstrate(
  layers: readonly ResolvedLayer[],
  seed: number,
  detail: number,
  run: BorderRun | null,
): Demonstration {
  const piled = pileLayers(layers.map((l) => ({ ...l, layer: { ...l.layer, tools: [] } })))
  const units = Array.from({ length: run?.units ?? 1 }, (_, unit) => pile(piled, unitSeed(seed, unit)))
  return { mesh: drawPiles(piled, units, detail, run), show: showOf(piled, units, run) }
}
