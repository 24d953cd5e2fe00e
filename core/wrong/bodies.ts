import { type Random, smoothNoise } from '../random.ts'
import type { Laid, LaidRope, LaidSheet } from '../solids/laid.ts'
import type { FaultId } from './faults.ts'

/** How far what is too soft hangs down at its free edge, as a share of its height, and how far its ropes sink. */
const HANGS = 0.55
const SINKS = 0.55
/** Teeth of a torn edge: how deep, as a share of the slot, and how many to a stroke. */
const TORN = 0.38
const TEETH = 11
/** What a hand that is too fast leaves of width and thickness. */
const STARVED = { wide: 0.66, thick: 0.6 }
/** Folds of a hand that is too slow: how high, mm, how many, and how much thicker it comes. */
const FOLDS = { mm: 1.2, times: 4, thick: 1.4 }
/** How much an uneven squeeze takes away at most, and how often it changes. */
const PULSES = { share: 0.62, times: 3 }
/** A tail that is drawn out: how long, mm, and how wide where it begins, as a share of the rope. */
const TAIL = { mm: 13, wide: 0.7, rings: 10 }

/** What was laid with the fault in it; in place, and a tail beside it where it is drawn out. */
export function laidWrong(bodies: Laid[], fault: FaultId, random: Random): Laid[] {
  for (const body of bodies)
    if (body.kind === 'sheet') sheetWrong(body, fault, random)
    else ropeWrong(body, fault, random)
  return fault === 'lateRelease' ? [...bodies, ...bodies.map(tailOf)] : bodies
}

function sheetWrong(sheet: LaidSheet, fault: FaultId, random: Random): void {
  const { points, thick, tSteps, uSteps } = sheet
  const row = uSteps + 1
  const pulse = smoothNoise(random, PULSES.times)
  for (let t = 0; t <= tSteps; t++) {
    const s = t / tSteps
    const wide = t * row * 3
    const tooth = Math.abs(((s * TEETH) % 1) * 2 - 1) * (0.5 + random())
    for (let u = 0; u <= uSteps; u++) {
      const share = u / uSteps
      const v = t * row + u
      const o = v * 3
      switch (fault) {
        case 'tooSoft':
          hang(points, o, share)
          break
        case 'tooStiff':
          drawIn(points, o, wide, 1 - TORN * tooth * share ** 3)
          break
        case 'tooFast':
          drawIn(points, o, wide, STARVED.wide)
          thick[v]! *= STARVED.thick
          break
        case 'tooSlow': {
          const fold = Math.sin(s * FOLDS.times * 2 * Math.PI) * FOLDS.mm * share
          const out = Math.hypot(points[o]!, points[o + 1]!) || 1
          points[o]! += (points[o]! / out) * fold
          points[o + 1]! += (points[o + 1]! / out) * fold
          points[o + 2]! += Math.abs(fold) * 0.5
          thick[v]! *= FOLDS.thick
          break
        }
        case 'uneven':
          drawIn(points, o, wide, 1 - PULSES.share * (0.5 + 0.5 * pulse(s * PULSES.times)))
          break
        case 'wrongEndDown':
          if (u < row / 2) swap(thick, v, t * row + uSteps - u)
          break
        default:
      }
    }
  }
}

/** Lower the further out it is along the slot, and out rather than through the table. */
function hang(points: Float64Array, o: number, share: number): void {
  const drop = Math.max(0, points[o + 2]! - 0.4) * HANGS * share ** 1.5
  points[o + 2]! -= drop
  const out = Math.hypot(points[o]!, points[o + 1]!) || 1
  points[o]! += (points[o]! / out) * drop * 0.5
  points[o + 1]! += (points[o + 1]! / out) * drop * 0.5
}

/** A point nearer to the wide end of its row. */
function drawIn(points: Float64Array, o: number, wide: number, share: number): void {
  for (let c = 0; c < 3; c++) points[o + c] = points[wide + c]! + (points[o + c]! - points[wide + c]!) * share
}

function swap(data: Float64Array, a: number, b: number): void {
  ;[data[a], data[b]] = [data[b]!, data[a]!]
}

function ropeWrong(rope: LaidRope, fault: FaultId, random: Random): void {
  const { centres, scale, rings } = rope
  const pulse = smoothNoise(random, PULSES.times)
  const lean = random() * 2 * Math.PI
  if (fault === 'tooSoft') rope.flat *= SINKS
  for (let t = 0; t < rings; t++) {
    const s = t / Math.max(1, rings - 1)
    switch (fault) {
      case 'tooSoft': {
        // what stands leans over
        const rise = centres[t * 3 + 2]! - centres[2]!
        centres[t * 3]! += Math.cos(lean) * rise * 0.4
        centres[t * 3 + 1]! += Math.sin(lean) * rise * 0.4
        centres[t * 3 + 2]! -= rise * 0.35
        break
      }
      case 'tooStiff':
        scale[t]! *= 1 - 0.3 * random()
        break
      case 'tooFast':
        scale[t]! *= STARVED.wide
        break
      case 'tooSlow':
        scale[t]! *= 1 + 0.32 * (1 + Math.sin(s * FOLDS.times * 2 * Math.PI)) * 0.5
        break
      case 'uneven':
        scale[t]! *= 1 - PULSES.share * (0.5 + 0.5 * pulse(s * PULSES.times))
        break
      default:
    }
  }
}

/** The tail that is drawn out of a stroke's end when the hand still squeezes while it goes. */
function tailOf(body: Laid): LaidRope {
  const [end, before, radius] = endOf(body)
  const way = [end[0] - before[0], end[1] - before[1], Math.abs(end[2] - before[2])]
  const length = Math.hypot(way[0]!, way[1]!, way[2]!) || 1
  const tail: LaidRope = {
    kind: 'rope',
    rings: TAIL.rings,
    outline: ROUND,
    centres: new Float64Array(TAIL.rings * 3),
    scale: new Float64Array(TAIL.rings),
    twist: new Float64Array(TAIL.rings),
    flat: 1,
  }
  for (let r = 0; r < TAIL.rings; r++) {
    const s = r / (TAIL.rings - 1)
    // on in the way of the stroke, up with the tip, and over at its point
    const on = TAIL.mm * 0.6 * s
    tail.centres[r * 3] = end[0] + (way[0]! / length) * on
    tail.centres[r * 3 + 1] = end[1] + (way[1]! / length) * on
    tail.centres[r * 3 + 2] = end[2] + TAIL.mm * (s - 0.45 * s * s * s)
    tail.scale[r] = Math.max(0.06, radius * TAIL.wide * (1 - s) ** 0.7)
  }
  return tail
}

/** A circle of radius one. */
const ROUND = Array.from({ length: 10 }, (_, i): [number, number] => [
  Math.cos((i / 10) * 2 * Math.PI),
  Math.sin((i / 10) * 2 * Math.PI),
])

type Point = readonly [number, number, number]

/** Where a body ends, a place before that, and how wide it is there, mm. */
function endOf(body: Laid): [end: Point, before: Point, radius: number] {
  if (body.kind === 'rope') {
    const at = (ring: number): Point => [
      body.centres[ring * 3]!,
      body.centres[ring * 3 + 1]!,
      body.centres[ring * 3 + 2]!,
    ]
    const widest = body.outline.reduce((most, [x, y]) => Math.max(most, Math.hypot(x, y)), 0)
    const last = body.rings - 1
    return [at(last), at(Math.max(0, last - 2)), widest * Math.max(0.5, body.scale[Math.max(0, last - 2)]!)]
  }
  const row = (body.uSteps + 1) * 3
  const at = (t: number): Point => {
    const o = t * row + Math.floor(body.uSteps / 2) * 3
    return [body.points[o]!, body.points[o + 1]!, body.points[o + 2]!]
  }
  const thick = body.thick[body.tSteps * (body.uSteps + 1) + Math.floor(body.uSteps / 2)]!
  return [at(body.tSteps), at(Math.max(0, body.tSteps - 2)), Math.max(0.8, thick)]
}
