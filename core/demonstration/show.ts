import type { BorderRun } from '../flowers/run.ts'
import { turned, turningOf } from '../geometry/seat.ts'
import type { PiledStroke, PileLayer } from '../pile/piled.ts'
import { strokeDefinition } from '../strokes/index.ts'
import { openingArea } from '../tips/index.ts'
import { axisAt, type Hold, nailAt, slotSquareTo } from './bag.ts'
import { keepClear } from './clear.ts'
import { heldFor } from './held.ts'
import { nextSeconds, type Timing, timingOf } from './timing.ts'
import { along, dot, spun, type Vec } from './vec.ts'
import { distance, type Moment, type Moved, wayOf } from './way.ts'

/** One stroke as it is shown. Places are in the flower's frame as a right hand sees it; turned by `nail` they are over the table. */
export interface ShownStroke {
  layer: number
  index: number
  /** When it begins in the whole show, s. */
  begins: number
  timing: Timing
  moments: readonly Moment[]
  /** The way that is up for what is piped on a seat that leans. */
  up: Vec
  /** Back of the bag at every moment. */
  axes: readonly Vec[]
  /** Turn of the nail at every moment, radians, never wound back to within one turn. */
  nail: Float64Array
  /** How deep the tip is in finished icing at every moment, mm. */
  depth: Float32Array
}

/** A flower piped before one's eyes: its strokes one after the other, for a right hand; a left hand's is its mirror image. */
export interface Show {
  strokes: ShownStroke[]
  /** How the bag is held in every layer. */
  holds: readonly Hold[]
  /** Clock position of the bag's back in every layer, for a right hand. */
  clocks: readonly number[]
  /** Size of what the flow of each layer is, as a multiple of the opening's usual. */
  flows: readonly number[]
  seconds: number
}

/** Height above its place to which the tip is lifted between strokes, mm, along the bag. */
export const LIFT_MM = 14

/** Where a bag comes from whose words name no clock position. */
const ANY_CLOCK = 4.5

/** The clock position that a layer's bag is drawn at, for a right hand. */
export const clockOf = (layer: PileLayer): number =>
  strokeDefinition(layer.stroke.kind).words.clock ?? ANY_CLOCK

/**
 * The show of a pile; of a border, of all its units, a layer in all of them before the next.
 * @param units the same layers piled: one, or each unit of a run.
 */
export function showOf(
  layers: readonly PileLayer[],
  units: readonly (readonly PiledStroke[])[],
  run: BorderRun | null,
): Show {
  const first = units[0]!.map((stroke) => walk(stroke, layers, movedBy(run, 0)))
  const { holds, depths } = keepClear(layers, first)
  const clocks = layers.map(clockOf)
  const walks = units.flatMap((strokes, unit) =>
    strokes.map((stroke, i) => {
      const { moments } = unit === 0 ? first[i]! : walk(stroke, layers, movedBy(run, unit))
      return { stroke, moments, depth: run ? new Float32Array(moments.length) : depths[i]! }
    }),
  )
  // a steady sort: within a layer unit after unit, stroke after stroke
  walks.sort((a, b) => a.stroke.layer - b.stroke.layer)
  const shown: ShownStroke[] = []
  let seconds = 0
  for (const { stroke, moments, depth } of walks) {
    const layer = layers[stroke.layer]!
    const hold = holds[stroke.layer]!
    const axes = moments.map((moment) => axisAt(moment, hold))
    const before = shown.at(-1)
    const nail = wound(
      moments.map((moment) => nailAt(moment, hold, clocks[stroke.layer]!)),
      before?.nail.at(-1) ?? null,
    )
    const now = { moments, axes, nail }
    const timing = timingOf(moments, {
      speedMmPerS: strokeDefinition(layer.stroke.kind).speedMmPerS,
      areaMm2: openingArea(layer.opening),
      letGo: heldFor(layer.stroke.kind).letGo,
      nextS: before ? nextSeconds(wayBetween(before, now)) : 0,
    })
    shown.push({
      ...now,
      up: upOf(stroke),
      layer: stroke.layer,
      index: stroke.index,
      begins: seconds,
      timing,
      depth,
    })
    seconds += timing.seconds
  }
  const flows = layers.map(({ stroke }) => ('flow' in stroke ? stroke.flow : 1))
  return { strokes: shown, holds, clocks, flows, seconds }
}

const walk = (stroke: PiledStroke, layers: readonly PileLayer[], moved: Moved | null) => ({
  stroke,
  moments: wayOf(stroke, layers[stroke.layer]!, moved),
})

const movedBy = (run: BorderRun | null, unit: number): Moved | null =>
  run && { turn: run.heading, alongMm: run.pitchMm * (unit - (run.units - 1) / 2) }

function upOf({ at }: PiledStroke): Vec {
  if (!at.seat) return [0, 0, 1]
  const [x, y, z] = turned(turningOf(at.seat), 0, 0, 1)
  return [x, -y, z]
}

/** Angles one after the other without a leap, begun as near as can be to where the nail stands already. */
function wound(angles: readonly number[], from: number | null): Float64Array {
  const out = new Float64Array(angles.length)
  let last = from ?? angles[0]!
  angles.forEach((angle, i) => {
    last += nearest(angle - last)
    out[i] = last
  })
  return out
}

const nearest = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI))

/** Where the tip and the bag are over the table when a stroke is done, or not yet begun. */
export function lifted(
  { moments, axes, nail }: Pick<ShownStroke, 'moments' | 'axes' | 'nail'>,
  end: boolean,
): { tip: Vec; axis: Vec; slot: Vec; nail: number } {
  const i = end ? moments.length - 1 : 0
  const axis = spun(axes[i]!, nail[i]!)
  const { tip, slot } = moments[i]!
  return {
    tip: along(spun(tip, nail[i]!), axis, LIFT_MM),
    axis,
    slot: slotSquareTo(axis, slot && spun(slot, nail[i]!)),
    nail: nail[i]!,
  }
}

function wayBetween(before: ShownStroke, now: Pick<ShownStroke, 'moments' | 'axes' | 'nail'>) {
  const [a, b] = [lifted(before, true), lifted(now, false)]
  return {
    mm: distance(a.tip, b.tip),
    wristDeg: Math.max(between(a.axis, b.axis), between(a.slot, b.slot)),
    nailDeg: ((b.nail - a.nail) * 180) / Math.PI,
  }
}

/** Degrees between two directions. */
const between = (a: Vec, b: Vec): number => (Math.acos(Math.max(-1, Math.min(1, dot(a, b)))) * 180) / Math.PI
