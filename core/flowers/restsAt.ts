import { seatedPoints } from '../geometry/seat.ts'
import { strokeTriangles } from '../solids/body.ts'
import type { ResolvedLayer } from './layers.ts'
import { layerSpots } from './spots.ts'

/** A foot set down by eye finds the highest icing so near to its ring, mm. */
const NEAR_MM = 1.2
/** Parts of the ring whose highest icing is averaged: a foot on a petal's rim stands beside one between two petals. */
const SECTORS = 12
/** Plumb lines dropped in each part, across and along it. */
const ACROSS = 5
const ALONG = 3

/** How high a flower stands at a ring, mm: plumb lines on its surface, the mean over the ring of the highest near it. */
export function restsAt(layers: readonly ResolvedLayer[], ringMm: number): number {
  const lines = plumbLines(ringMm)
  const highest = new Float64Array(SECTORS)
  for (const resolved of layers) {
    const { layer, tip } = resolved
    const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
    const triangles = strokeTriangles(layer.stroke, at, tip.opening)
    for (const { azimuth, seat } of layerSpots(resolved, layers)) {
      const corners = seat ? seatedPoints(triangles, seat, azimuth) : triangles
      // instead of turning the stroke, turn the lines back
      const turn = seat ? 0 : azimuth
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)]
      const turned = lines.map(({ x, y, sector }) => ({
        x: cos * x + sin * y,
        y: cos * y - sin * x,
        sector,
      }))
      for (let o = 0; o < corners.length; o += 9)
        for (const line of turned) {
          const z = metBy(corners, o, line.x, line.y)
          if (z > highest[line.sector]!) highest[line.sector] = z
        }
    }
  }
  return highest.reduce((sum, z) => sum + z, 0) / SECTORS
}

function plumbLines(ringMm: number): { x: number; y: number; sector: number }[] {
  return Array.from({ length: SECTORS * ACROSS * ALONG }, (_, i) => {
    const sector = Math.floor(i / (ACROSS * ALONG))
    const across = ((i % ACROSS) / (ACROSS - 1)) * 2 - 1
    const along = (Math.floor(i / ACROSS) % ALONG) / ALONG
    const r = Math.max(0, ringMm + across * NEAR_MM)
    const theta = ((sector + along) / SECTORS) * 2 * Math.PI
    return { x: r * Math.cos(theta), y: r * Math.sin(theta), sector }
  })
}

/** Height at which a plumb line at (x, y) meets the triangle that begins at `o`; -Infinity where it passes by. */
function metBy(c: Float32Array, o: number, x: number, y: number): number {
  const [ax, ay] = [c[o]! - x, c[o + 1]! - y]
  const [bx, by] = [c[o + 3]! - x, c[o + 4]! - y]
  const [cx, cy] = [c[o + 6]! - x, c[o + 7]! - y]
  const ofC = ax * by - ay * bx
  const ofA = bx * cy - by * cx
  const ofB = cx * ay - cy * ax
  const all = ofA + ofB + ofC
  if (all === 0 || ofA * all < 0 || ofB * all < 0 || ofC * all < 0) return Number.NEGATIVE_INFINITY
  return (ofA * c[o + 2]! + ofB * c[o + 5]! + ofC * c[o + 8]!) / all
}
