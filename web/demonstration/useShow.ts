import { useEffect, useState } from 'react'
import type { Show } from '#core/demonstration/show'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { BorderRun } from '#core/flowers/run'
import { quickPictures } from '../parts/pictures.ts'
import type { Solid } from '../workers/solid.worker.ts'
import { COARSE, demonstrationOf, FINE } from '../workers/solids.ts'

/** A flower as it is piped, with the layers that it was worked out of. */
export interface Piped {
  solid: Solid
  show: Show
  layers: readonly ResolvedLayer[]
  /** The layer that is watched, the last of them; null for all. */
  watched: number | null
}

const SEED = 1

/** How a flower is piped, up to the layer that is watched: coarse at once, fine soon after. The last one is shown meanwhile. */
export function useShow(
  layers: readonly ResolvedLayer[] | undefined,
  run: BorderRun | null,
  watched: number | null,
): Piped | undefined {
  const [piped, setPiped] = useState<Piped>()
  useEffect(() => {
    if (!layers || layers.length === 0) return
    let current = true
    const ask = (detail: number) =>
      demonstrationOf(layers, SEED, detail, run, watched).then(({ show, ...solid }) => {
        if (current)
          setPiped({ solid, show, watched, layers: watched === null ? layers : layers.slice(0, watched + 1) })
      })
    // what cannot be worked out is said in the place of the screen: it would be waited for in vain
    const fail = (error: unknown) => {
      if (current)
        setPiped(() => {
          throw error
        })
    }
    void ask(COARSE)
      .then(() => (current && !quickPictures() ? ask(FINE) : undefined))
      .catch(fail)
    return () => {
      current = false
    }
  }, [layers, run, watched])
  return piped
}
