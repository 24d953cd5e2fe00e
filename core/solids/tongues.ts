import { type Outline, outlineArea } from '../tips/family.ts'
import { toolDefinition, type Work } from '../tools/index.ts'
import { type Laid, type LaidRope, ropeRadius } from './laid.ts'
import { handOf } from './worked.ts'

/** A tongue begins so far inside the edge of its ground, as a share of its own width. */
const ROOTED = 0.8
/** Rings and corners of a tongue close up, and the fewest. */
const RINGS = 16
const CORNERS = 10
const LEAST = 6
/** It lies flat as icing does that runs: so much of its width high. */
const FLAT = 0.4
/** However much is pulled out of it, a ground keeps so much of its depth. */
const LEAST_LEFT = 0.35
/** Where it ends it is so thin, as a share of its width. */
const POINT = 0.12

/** The tongues that tools pull out of the ground which a stroke has flooded, as they are aimed: along its top, outwards. */
export function tonguesOf(
  bodies: readonly Laid[],
  works: readonly Work[],
  seed: number,
  detail: number,
): LaidRope[] {
  return works.flatMap((work, i) => {
    const { tongues } = toolDefinition(work.kind)
    const ground = bodies[0]
    if (!tongues || ground?.kind !== 'rope') return []
    const last = (ground.rings - 1) * 3
    const [x, y, top] = [ground.centres[last]!, ground.centres[last + 1]!, ground.centres[last + 2]!]
    const radius = ropeRadius(ground) * Math.max(...ground.scale)
    return tongues(work, handOf(seed, i)).map(({ azimuth, lengthMm, widthMm }): LaidRope => {
      const rings = Math.max(LEAST, Math.round(RINGS * detail))
      // flattened, it is as wide as it is wanted
      const outline = circle(Math.max(LEAST, Math.round(CORNERS * detail)), (widthMm / 2) * Math.sqrt(FLAT))
      const [from, to] = [Math.max(0, radius - ROOTED * widthMm), radius + lengthMm]
      const rope: LaidRope = {
        ...{ kind: 'rope', rings, outline, flat: FLAT },
        centres: new Float64Array(rings * 3),
        scale: new Float64Array(rings),
        twist: new Float64Array(rings),
      }
      for (let t = 0; t < rings; t++) {
        const share = t / (rings - 1)
        const r = from + (to - from) * share
        rope.centres.set([x + r * Math.cos(azimuth), y + r * Math.sin(azimuth), top], t * 3)
        rope.scale[t] = 1 - (1 - POINT) * share ** 1.5
      }
      return rope
    })
  })
}

/** A circle of few corners that is as large as the round one. */
function circle(corners: number, radius: number): Outline {
  const step = (2 * Math.PI) / corners
  const r = radius * Math.sqrt(step / Math.sin(step))
  return Array.from({ length: corners }, (_, k) => [r * Math.cos(k * step), r * Math.sin(k * step)])
}

/** What is pulled out of a ground is not in it any more: it lies so much shallower. In place. */
export function drawnFrom(ground: LaidRope, tongues: readonly LaidRope[]): void {
  const { centres, rings } = ground
  const left = 1 - tongues.reduce((sum, t) => sum + volumeOf(t), 0) / Math.max(volumeOf(ground), 1e-6)
  const floor = centres[2]!
  for (let t = 0; t < rings; t++)
    centres[t * 3 + 2] = floor + (centres[t * 3 + 2]! - floor) * Math.max(LEAST_LEFT, left)
}

/** Its sections along its way, mm³. */
function volumeOf({ outline, centres, scale, rings }: LaidRope): number {
  let volume = 0
  for (let t = 1; t < rings; t++) {
    const o = t * 3
    const way = Math.hypot(
      centres[o]! - centres[o - 3]!,
      centres[o + 1]! - centres[o - 2]!,
      centres[o + 2]! - centres[o - 1]!,
    )
    volume += way * ((scale[t]! + scale[t - 1]!) / 2) ** 2
  }
  return volume * outlineArea(outline)
}
