import { layAgain } from '../pile/again.ts'
import { Field } from '../pile/field.ts'
import { boundsOf } from '../pile/pile.ts'
import type { PiledStroke, PileLayer } from '../pile/piled.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { openingSize } from '../tips/index.ts'
import { axisAt, type Hold, tipPoints } from './bag.ts'
import { heldFor } from './held.ts'
import type { Moment } from './way.ts'

/** A stroke with its way. */
export interface Walked {
  stroke: PiledStroke
  moments: readonly Moment[]
}

/** What is tried where a bag as it is usually held would stand in finished icing: steeper, and turned about the flower. */
const STEEPER_DEG = [0, 10, 20, 30, -10]
const FURTHER_DEG = [0, 15, -15, 30, -30]
/** A bag is never held flatter than this, degrees: it would lie on the table. */
const FLATTEST_DEG = 24
const STEEPEST_DEG = 86
/** Every so many moments are looked at when a hold is chosen. */
const LOOKED_AT = 4
/** So much further from the usual hold, in degrees, is worth a millimetre less inside, on the average. */
const DEG_PER_MM = 25

/** How the bag is held for each layer, and how deep its tip is in finished icing at every moment, mm. */
export interface Clear {
  holds: Hold[]
  depths: Float32Array[]
}

/**
 * Chooses for every layer how the bag is held, so that tip and bag keep out of what is piped already as well as they can,
 * and tells where they cannot.
 */
export function keepClear(layers: readonly PileLayer[], walked: readonly Walked[]): Clear {
  const field = new Field(boundsOf(walked.map((w) => w.stroke)))
  const holds: Hold[] = []
  const depths: Float32Array[] = []
  layers.forEach((layer, l) => {
    const own = walked.filter((w) => w.stroke.layer === l)
    const tried = holdsFor(layer)
    const worse = tried.map(() => 0)
    const inside = tried.map((): Float32Array[] => [])
    for (const { stroke, moments } of own) {
      tried.forEach((hold, k) => {
        const deep = new Float32Array(moments.length)
        for (let i = 0; i < moments.length; i += LOOKED_AT) deep[i] = depthAt(field, moments[i]!, layer, hold)
        for (let i = 0; i < moments.length; i++) {
          // between two that were looked at, as deep as the deeper
          const before = i - (i % LOOKED_AT)
          deep[i] = Math.max(deep[before]!, deep[Math.min(before + LOOKED_AT, moments.length - 1)] ?? 0)
        }
        worse[k]! += deep.reduce((a, b) => Math.max(a, b), 0)
        inside[k]!.push(deep)
      })
      for (const body of stroke.rested) layAgain(field, body, strokeDefinition(layer.stroke.kind).rests)
    }
    const usual = tried[0]!
    const cost = (k: number) =>
      worse[k]! / Math.max(1, own.length) +
      (Math.abs(tried[k]!.elevationDeg - usual.elevationDeg) + Math.abs(tried[k]!.leanDeg - usual.leanDeg)) /
        DEG_PER_MM
    const best = tried.reduce((found, _, k) => (cost(k) < cost(found) ? k : found), 0)
    holds.push(tried[best]!)
    depths.push(...inside[best]!)
  })
  return { holds, depths }
}

function holdsFor({ stroke }: PileLayer): Hold[] {
  const { leanDeg, elevationDeg } = heldFor(stroke.kind)
  return STEEPER_DEG.flatMap((steeper) =>
    FURTHER_DEG.map((further) => ({
      leanDeg: leanDeg + further,
      elevationDeg: Math.min(STEEPEST_DEG, Math.max(FLATTEST_DEG, elevationDeg + steeper)),
    })),
  )
}

function depthAt(field: Field, moment: Moment, layer: PileLayer, hold: Hold): number {
  const axis = axisAt(moment, hold)
  let deepest = 0
  // ways are mirrored, the pile is not
  for (const [x, y, z] of tipPoints(moment.tip, axis, moment.slot, openingSize(layer.opening) / 2))
    deepest = Math.max(deepest, -field.at(x, -y, z))
  return deepest
}
