import { ringSize } from '../solids/sheetSolid.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { layAgain } from './again.ts'
import { BAND_MM, Field } from './field.ts'
import { boundsOf } from './pile.ts'
import type { PiledStroke, PileLayer } from './piled.ts'
import { skinned } from './skins.ts'

/** How a stroke lies on what was there before it. */
export interface Contact {
  /** How far its icing is from all earlier icing and from the table, mm: 0 where it touches, no more than the band of a field. */
  gapMm: number
  /** Share of the wide end of a sheet that touches nothing; 0 for a rope. */
  footInAir: number
}

/** A stroke that is further than this from all icing and from the table holds on to nothing, mm. */
export const HOLDS_MM = 0.8
/** A foot that is further than this from icing and table shows the dark under it, mm. */
const AIR_MM = 0.8

/** For every stroke of a pile how it lies on the icing before it, in the order in which they were piped. */
export function contacts(strokes: readonly PiledStroke[], layers: readonly PileLayer[]): Contact[] {
  const field = new Field(boundsOf(strokes))
  return strokes.map((stroke) => {
    const contact = touch(field, stroke)
    // what touches nothing carries nothing
    const { rests } = strokeDefinition(layers[stroke.layer]!.stroke.kind)
    const own = stroke.laid.length - stroke.tongues
    if (contact.gapMm <= HOLDS_MM)
      for (const [i, body] of stroke.laid.entries()) layAgain(field, body, i < own ? rests : 'lies')
    return contact
  })
}

/** By the points of its skin: the field knows nothing of what is further away than its band. */
function touch(field: Field, stroke: PiledStroke): Contact {
  let gapMm = BAND_MM
  let footInAir = 0
  for (const body of stroke.laid) {
    const { positions } = skinned([{ ...stroke, laid: [body] }])
    const awayAt = (v: number) => {
      const [x, y, z] = [positions[v * 3]!, positions[v * 3 + 1]!, positions[v * 3 + 2]!]
      return Math.max(0, Math.min(field.at(x, y, z), z))
    }
    for (let v = 0; v < positions.length / 3; v++) gapMm = Math.min(gapMm, awayAt(v))
    if (body.kind === 'rope') continue
    const around = ringSize(body)
    let inAir = 0
    for (let t = 0; t <= body.tSteps; t++) {
      // the wide end on the outer face, on the inner face, and its rounded edge between them
      const foot = [0, around - 2, around - 1].map((k) => awayAt(t * around + k))
      if (Math.min(...foot) > AIR_MM) inAir += 1
    }
    footInAir = Math.max(footInAir, inAir / (body.tSteps + 1))
  }
  return { gapMm, footInAir }
}
