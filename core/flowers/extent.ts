import { skinRoom } from '../pile/swell.ts'
import { FRILL_SWELL, highestSlip, STRAY_UP_MM } from '../solids/hand.ts'
import type { Laid, LaidSheet } from '../solids/laid.ts'
import { newMesh } from '../solids/mesh.ts'
import { skinLaid } from '../solids/strokeSolid.ts'
import { DIRECTIONS, type Extent, extentOf } from './caliper.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower } from './piled.ts'

/**
 * Width and height of the pile that the layers make, as a steady hand makes it; the highest stroke of a row stands a
 * little higher than it should.
 * @param counted layers that take part in the width; all of them where none are named.
 */
export function flowerExtent(
  layers: readonly ResolvedLayer[],
  counted: (layer: ResolvedLayer) => boolean = () => true,
): Extent {
  const low = new Float64Array(DIRECTIONS)
  const high = new Float64Array(DIRECTIONS)
  let heightMm = 0
  for (const { layer, laid } of piledFlower(layers)) {
    const resolved = layers[layer]!
    if (!counted(resolved)) continue
    const { vertices } = skinRoom(laid)
    const builder = newMesh(vertices, 0)
    skinLaid(builder, laid, 0)
    const points = builder.mesh.positions
    let top = 0
    for (let o = 0; o < points.length; o += 3) top = Math.max(top, points[o + 2]!)
    heightMm = Math.max(heightMm, top + slipsUp(resolved, laid))
    for (let d = 0; d < DIRECTIONS; d++) {
      const [c, s] = [Math.cos((Math.PI * d) / DIRECTIONS), Math.sin((Math.PI * d) / DIRECTIONS)]
      for (let o = 0; o < points.length; o += 3) {
        const along = c * points[o]! + s * points[o + 1]!
        if (along > high[d]!) high[d] = along
        if (along < low[d]!) low[d] = along
      }
    }
  }
  return extentOf(low, high, heightMm)
}

/**
 * How much higher than a steady hand's the highest of a layer comes out, mm: sheets stray up, and some waves of a frill
 * stand higher than others. What is squeezed or lies on the ground stands where that is.
 */
function slipsUp({ layer }: ResolvedLayer, laid: readonly Laid[]): number {
  const sheet = laid.find((body): body is LaidSheet => body.kind === 'sheet')
  if (!sheet) return 0
  const stray = STRAY_UP_MM * highestSlip(layer.count)
  const ripple = 'ripple' in layer.stroke ? layer.stroke.ripple : null
  if (!ripple) return stray
  const waves = (layer.count * rimLength(sheet)) / ripple.lengthMm
  return Math.max(stray, FRILL_SWELL * ripple.ampMm * highestSlip(waves))
}

/** Length of a sheet's free edge, mm. */
function rimLength({ points, tSteps, uSteps }: LaidSheet): number {
  let length = 0
  for (let t = 1; t <= tSteps; t++) {
    const [a, b] = [((t - 1) * (uSteps + 1) + uSteps) * 3, (t * (uSteps + 1) + uSteps) * 3]
    length += Math.hypot(
      points[b]! - points[a]!,
      points[b + 1]! - points[a + 1]!,
      points[b + 2]! - points[a + 2]!,
    )
  }
  return length
}
