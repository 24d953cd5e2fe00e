import type { Laid, LaidRope, LaidSheet } from '../solids/laid.ts'
import { strokeSolid } from '../solids/strokeSolid.ts'
import { tonguesOf } from '../solids/tongues.ts'
import { worked } from '../solids/worked.ts'
import { axisOf, slipsOf } from './pile.ts'
import { cutOf, PILE_DETAIL, type PiledStroke, type PileLayer, workSeed, worksOf } from './piled.ts'

/**
 * The bodies of a piled stroke cut as finely as they are wanted: laid anew with the same slips, moved and swollen as the
 * pile has moved and swollen them.
 */
export function drawnAs(stroke: PiledStroke, layer: PileLayer, detail: number): Laid[] {
  const works = worksOf(layer)
  if (detail === PILE_DETAIL) return stroke.laid
  const cut = cutOf(layer, detail)
  const own = strokeSolid(layer.stroke, stroke.at, layer.opening, cut).lay(stroke.at, slipsOf(stroke.slips))
  const fine = [...own, ...tonguesOf(own, works, workSeed(stroke), cut)]
  fine.forEach((body, i) => {
    const [aimed, laid] = [stroke.aimed[i]!, stroke.rested[i]!]
    if (body.kind === 'sheet') followSheet(body, aimed as LaidSheet, laid as LaidSheet)
    else followRope(body, aimed as LaidRope, laid as LaidRope)
  })
  if (works.length === 0) return fine
  const touched = worked(fine.slice(0, own.length), works, axisOf(stroke.at), workSeed(stroke))
  return [...touched, ...fine.slice(own.length)]
}

function followSheet(fine: LaidSheet, aimed: LaidSheet, laid: LaidSheet): void {
  const row = laid.uSteps + 1
  for (let t = 0; t <= fine.tSteps; t++) {
    const [t0, s] = placeIn(t / fine.tSteps, laid.tSteps)
    for (let u = 0; u <= fine.uSteps; u++) {
      const [u0, w] = placeIn(u / fine.uSteps, laid.uSteps)
      const a = t0 * row + u0
      const corners = [a, a + 1, a + row, a + row + 1]
      const shares = [(1 - s) * (1 - w), (1 - s) * w, s * (1 - w), s * w]
      const v = t * (fine.uSteps + 1) + u
      let fuller = 0
      for (let k = 0; k < 4; k++) {
        const [corner, share] = [corners[k]!, shares[k]!]
        if (share === 0) continue
        for (let c = 0; c < 3; c++)
          fine.points[v * 3 + c]! += share * (laid.points[corner * 3 + c]! - aimed.points[corner * 3 + c]!)
        fuller += (share * laid.thick[corner]!) / Math.max(1e-9, aimed.thick[corner]!)
      }
      fine.thick[v]! *= fuller
    }
  }
}

function followRope(fine: LaidRope, aimed: LaidRope, laid: LaidRope): void {
  fine.flat = laid.flat
  for (let t = 0; t < fine.rings; t++) {
    const [a, s] = placeIn(t / (fine.rings - 1), laid.rings - 1)
    let fuller = 0
    for (const [ring, share] of [
      [a, 1 - s],
      [a + 1, s],
    ] as const) {
      if (share === 0) continue
      for (let c = 0; c < 3; c++)
        fine.centres[t * 3 + c]! += share * (laid.centres[ring * 3 + c]! - aimed.centres[ring * 3 + c]!)
      fuller += (share * laid.scale[ring]!) / Math.max(1e-9, aimed.scale[ring]!)
    }
    fine.scale[t]! *= fuller
  }
}

/** Which of so many cells a share of the whole way lies in, and how far along in it. */
function placeIn(share: number, cells: number): [cell: number, along: number] {
  const at = share * cells
  const cell = Math.min(cells - 1, Math.floor(at))
  return [cell, at - cell]
}
