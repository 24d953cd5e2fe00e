import { skinned } from '../pile/skins.ts'
import { canopyOver } from '../solids/canopy.ts'
import type { ResolvedLayer } from './layers.ts'
import { piledFlower } from './piled.ts'

/** A foot set down by eye finds the highest icing so near to its ring, mm. */
const NEAR_MM = 1.2
/** Parts of the ring whose highest icing is averaged: a foot on a petal's rim stands beside one between two petals. */
const SECTORS = 12
/** Plumb lines dropped in each part, across and along it. */
const ACROSS = 5
const ALONG = 3

/** How high a flower stands at a ring as it is piled, mm: plumb lines on it, the mean over the ring of the highest near it. */
export function restsAt(layers: readonly ResolvedLayer[], ringMm: number): number {
  const lines = plumbLines(ringMm)
  const highest = new Float64Array(SECTORS)
  const canopy = canopyOver(skinned(piledFlower(layers)))
  for (const { x, y, sector } of lines) highest[sector] = Math.max(highest[sector]!, canopy(x, y) ?? 0)
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
