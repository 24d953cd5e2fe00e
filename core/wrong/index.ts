import type { ResolvedLayer } from '../flowers/layers.ts'
import { pileLayers } from '../flowers/piled.ts'
import type { BorderRun } from '../flowers/run.ts'
import { drawPiles, unitSeed } from '../mesh/flowerMesh.ts'
import { pile } from '../pile/pile.ts'
import { PILE_DETAIL } from '../pile/piled.ts'
import { seeded } from '../random.ts'
import type { FlowerMesh } from '../solids/mesh.ts'
import { laidWrong } from './bodies.ts'
import { type FaultId, faultIds } from './faults.ts'
import { aimedWrong, isAimed, shows } from './recipe.ts'

/** The faults that show in a flower, or in one of its layers, in their order; units of a border can always creep apart. */
export function faultsOf(
  layers: readonly ResolvedLayer[],
  layer: number | null,
  run: BorderRun | null,
): FaultId[] {
  const piled = pileLayers(layers)
  const looked = layer === null ? piled : piled.slice(layer, layer + 1)
  return faultIds.filter(
    (fault) => (run !== null && fault === 'noOverlap') || looked.some((l) => shows(fault, l)),
  )
}

/** Units of a border that creep apart are so much further from each other. */
const CREEP = 1.4

/**
 * The solid of a flower with a fault in it, from the same strokes, without what is done to it with tools; with no fault the
 * flower as it should be. Cut as finely as it is piled.
 */
export function wrongMesh(
  layers: readonly ResolvedLayer[],
  fault: FaultId | null,
  seed: number,
  run: BorderRun | null,
): FlowerMesh {
  const plain = pileLayers(layers.map((l) => ({ ...l, layer: { ...l.layer, tools: [] } })))
  const aimed = fault && isAimed(fault) ? plain.map((layer) => aimedWrong(layer, fault)) : plain
  const units = Array.from({ length: run?.units ?? 1 }, (_, unit) => {
    const strokes = pile(aimed, unitSeed(seed, unit))
    if (!fault || isAimed(fault)) return strokes
    return strokes.map((stroke, i) =>
      shows(fault, aimed[stroke.layer]!)
        ? { ...stroke, laid: laidWrong(stroke.laid, fault, seeded(seed + i)) }
        : stroke,
    )
  })
  const apart = run && fault === 'noOverlap' ? { ...run, pitchMm: run.pitchMm * CREEP } : run
  return drawPiles(aimed, units, PILE_DETAIL, apart)
}
