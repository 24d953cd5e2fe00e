import { turned, turningOf } from '../geometry/seat.ts'
import { newSheetFrame } from '../geometry/sheet.ts'
import type { PiledStroke, PileLayer } from '../pile/piled.ts'
import type { Laid } from '../solids/laid.ts'
import { strokeCycles, traceStroke } from '../strokes/quantities.ts'
import { openingArea, openingSize } from '../tips/index.ts'
import { type Held, heldFor, nailTurn } from './held.ts'
import { along, type Vec } from './vec.ts'

/** One moment of a stroke, in the flower's frame as a right hand sees it; lengths in mm. */
export interface Moment {
  /** Share of the stroke's own path, 0 to 1. */
  t: number
  /** Middle of the opening. */
  tip: Vec
  /** From the wide end of the slot to the narrow one; nothing for what has none. */
  slot: Vec | null
  /** Azimuth of the side that the stroke looks out to, radians: what the nail turns under the hand. */
  outward: number
  /** Icing here, as a multiple of what the opening lets through at the hand's own pace. */
  fullness: number
  /** Icing that leaves the bag on the way here from the moment before, mm³. */
  mm3: number
}

/** Moments of a stroke that does not go round, and for each time that it does. */
const MOMENTS = 32
const PER_CYCLE = 24
const MOST = 320

/** How a border is laid out when it is shown as a run: what the pile of one unit is moved by. */
export interface Moved {
  turn: number
  alongMm: number
}

/**
 * The way of the opening along a stroke as it came to rest: the icing is where it leaves the bag. Mirrored (y to −y),
 * because paths run the way in which a left hand pipes.
 */
export function wayOf(stroke: PiledStroke, layer: PileLayer, moved: Moved | null): Moment[] {
  const held = heldFor(layer.stroke.kind)
  const { azimuth, seat } = stroke.at
  const out = seat
    ? turned(turningOf(seat), Math.cos(azimuth), Math.sin(azimuth), 0)
    : [Math.cos(azimuth), Math.sin(azimuth), 0]
  const outward = Math.atan2(out[1]!, out[0]!)
  const [from, to] = nailTurn(layer.stroke)
  const steps = Math.min(MOST, Math.max(MOMENTS, Math.ceil(PER_CYCLE * strokeCycles(layer.stroke))))
  const slotAt = slotsOf(stroke, layer)
  const openingMm2 = openingArea(layer.opening)
  const moments: Moment[] = []
  for (let i = 0; i <= steps; i++) {
    const t = i / steps
    const slot = slotAt(t)
    const { tip, fullness } = placed(stroke.rested[0]!, t, held, slot, openingSize(layer.opening))
    const moment: Moment = {
      t,
      tip: seen(tip, moved, true),
      slot: slot && seen(slot, moved, false),
      outward: -(outward + from + (to - from) * t - (moved?.turn ?? 0)),
      fullness,
      mm3: 0,
    }
    const before = moments.at(-1)
    if (before)
      moment.mm3 = ((before.fullness + fullness) / 2) * openingMm2 * distance(before.tip, moment.tip)
    moments.push(moment)
  }
  return moments
}

/** Turned and moved with its unit of a border, then mirrored. */
function seen([x, y, z]: Vec, moved: Moved | null, isPlace: boolean): Vec {
  if (!moved) return [x, -y, z]
  const [c, s] = [Math.cos(-moved.turn), Math.sin(-moved.turn)]
  return [c * x - s * y + (isPlace ? moved.alongMm : 0), -(s * x + c * y), z]
}

/** The way the slot points along a stroke, as it was aimed: a frill does not shake the tip. */
function slotsOf({ at }: PiledStroke, { stroke, opening }: PileLayer): (t: number) => Vec | null {
  const trace = traceStroke(stroke, at, opening)
  if (trace.primitive !== 'sheet') return () => null
  const frame = newSheetFrame()
  return (t) => {
    trace.path(t, frame)
    return [frame.sx, frame.sy, frame.sz]
  }
}

/** Where the opening's middle is over a body at a share of its way, and how full the icing is there. */
function placed(body: Laid, t: number, held: Held, slot: Vec | null, sizeMm: number) {
  if (body.kind === 'rope') {
    const fullness = at(body.scale, 1, 0, t * (body.rings - 1)) ** 2
    return { tip: point(body.centres, 3, 0, t * (body.rings - 1)), fullness }
  }
  const row = (body.uSteps + 1) * 3
  const u = held.centred ? body.uSteps / 2 : 0
  const there = point(body.points, row, u * 3, t * body.tSteps)
  const middle = at(body.thick, body.uSteps + 1, body.uSteps / 2, t * body.tSteps)
  const wide = point(body.points, row, 0, t * body.tSteps)
  const narrow = point(body.points, row, row - 3, t * body.tSteps)
  // as much as of the slot is carrying icing, by as thick as that is
  const fullness = (distance(wide, narrow) / sizeMm) * (middle / Math.max(0.1, thickest(body.thick)))
  return { tip: held.centred || !slot ? there : along(there, slot, sizeMm / 2), fullness }
}

const thickest = (thick: Float64Array): number => thick.reduce((a, b) => Math.max(a, b), 0)

/** A number read between two of its rows. */
function at(data: Float64Array, row: number, offset: number, place: number): number {
  const last = data.length / row - 1
  const i = Math.min(Math.max(0, last - 1), Math.floor(place))
  const share = Math.min(1, place - i)
  const next = Math.min(last, i + 1)
  return data[i * row + offset]! * (1 - share) + data[next * row + offset]! * share
}

const point = (data: Float64Array, row: number, offset: number, place: number): Vec => [
  at(data, row, offset, place),
  at(data, row, offset + 1, place),
  at(data, row, offset + 2, place),
]

export const distance = (a: Vec, b: Vec): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
