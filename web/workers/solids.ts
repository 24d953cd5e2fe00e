import type * as Comlink from 'comlink'
import { useEffect, useState } from 'react'
import type { Show } from '#core/demonstration/show'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { BorderRun } from '#core/flowers/run'
import type { FaultId } from '#core/wrong/faults'
import { quickPictures } from '../parts/pictures.ts'
import { hire } from './hire.ts'
import type { Modeller, Solid } from './solid.worker.ts'

let remote: Comlink.Remote<Modeller> | null = null

function modeller(): Comlink.Remote<Modeller> {
  remote ??= hire<Modeller>('solid')
  return remote
}

/** Solids kept for the next time, the least lately used dropped first. */
const kept = new Map<string, Promise<Solid>>()
const MOST_KEPT = 48

export const COARSE = 0.35
export const FINE = 1

/** The solid of fitted layers at a level of detail; built once for the same recipe, seed and detail. */
export function solidOf(
  layers: readonly ResolvedLayer[],
  seed: number,
  detail: number,
  run: BorderRun | null = null,
): Promise<Solid> {
  const key = solidKey(layers, seed, detail, run)
  const known = kept.get(key)
  if (known) {
    kept.delete(key)
    kept.set(key, known)
    return known
  }
  const made = modeller().solid(plain(layers), seed, detail, run)
  kept.set(key, made)
  made.catch(() => kept.delete(key))
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  return made
}

/** As it goes to the worker. */
const plain = (layers: readonly ResolvedLayer[]) =>
  layers.map(({ layer, tip, floret }) => ({
    layer,
    floret,
    tip: { id: tip.id, opening: tip.opening, base: tip.base },
  }))

/** A solid with how it is piped, up to the watched layer. Not kept: whoever watches it holds it. */
export const demonstrationOf = (
  layers: readonly ResolvedLayer[],
  seed: number,
  detail: number,
  run: BorderRun | null,
  watched: number | null,
): Promise<Solid & { show: Show }> => modeller().demonstration(plain(layers), seed, detail, run, watched)

/** The solid of a flower with a fault in it. Not kept: its picture is. */
export const wrongSolidOf = (
  layers: readonly ResolvedLayer[],
  fault: FaultId | null,
  seed: number,
  run: BorderRun | null,
): Promise<Solid> => modeller().wrong(plain(layers), fault, seed, run)

/** Names a solid by all that it depends on: recipe, seed, detail. */
export function solidKey(
  layers: readonly ResolvedLayer[],
  seed: number,
  detail: number,
  run: BorderRun | null,
): string {
  return JSON.stringify([layers.map((l) => [shapeOf(l), l.floret, l.tip.opening]), seed, detail, run])
}

/** What of a layer its shape depends on: a new name or colour is not a new solid. */
function shapeOf({ layer }: ResolvedLayer) {
  const { name: _name, load: _load, ...shape } = layer
  return shape
}

/** A solid for the screen: coarse at once, fine soon after. The last one is shown meanwhile. */
export function useSolid(
  layers: readonly ResolvedLayer[] | undefined,
  seed: number,
  run: BorderRun | null,
): Solid | undefined {
  const [solid, setSolid] = useState<Solid>()
  useEffect(() => {
    if (!layers) return
    let current = true
    const show = (next: Solid) => {
      if (current) setSolid(next)
    }
    let later: number | undefined
    void solidOf(layers, seed, COARSE, run).then((next) => {
      show(next)
      // while a slider is dragged the fine one would always be late
      if (current && !quickPictures())
        later = window.setTimeout(() => void solidOf(layers, seed, FINE, run).then(show), 160)
    })
    return () => {
      current = false
      window.clearTimeout(later)
    }
  }, [layers, seed, run])
  return solid
}
