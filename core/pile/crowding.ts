import type { PiledStroke } from './piled.ts'
import { skinned } from './skins.ts'
import { unionVolume } from './union.ts'

/**
 * How much of each layer's icing lies inside what was there before it or beside it in its own row, as a share: what a
 * hand would have to press out of the way.
 */
export function sharesInside(strokes: readonly PiledStroke[], layers: number): number[] {
  let before = 0
  return Array.from({ length: layers }, (_, layer) => {
    const own = strokes.filter((s) => s.layer === layer)
    const apart = own.reduce((sum, s) => sum + unionVolume(skinned([s])), 0)
    const all = unionVolume(skinned(strokes.filter((s) => s.layer <= layer)))
    const added = all - before
    before = all
    return apart > 0 ? Math.max(0, 1 - added / apart) : 0
  })
}
