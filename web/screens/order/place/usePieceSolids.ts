import { useEffect, useMemo, useState } from 'react'
import type { PlacedKind } from '#core/placing/placedKinds'
import type { Solid } from '../../../workers/solid.worker.ts'
import { COARSE, solidOf } from '../../../workers/solids.ts'
import type { BorderLine } from './Grounds.tsx'

/** Coarse solids of everything that stands on a piece, by placed flower. */
export function usePieceSolids(
  kinds: readonly PlacedKind[],
  borders: readonly BorderLine[],
): ReadonlyMap<string, Solid> {
  const [solids, setSolids] = useState<ReadonlyMap<string, Solid>>(new Map())
  const all = useMemo(() => [...kinds, ...borders.map((b) => b.kind)], [kinds, borders])
  useEffect(() => {
    let current = true
    setSolids(new Map())
    // each is shown as soon as it is there
    for (const k of all)
      void solidOf(k.layers, 1, COARSE).then((solid) => {
        if (current) setSolids((now) => new Map(now).set(k.placedId, solid))
      })
    return () => {
      current = false
    }
  }, [all])
  return solids
}
