import { distance, type Moment } from './way.ts'

/** What a hand does at a stroke, in order; `next` is the way to it from the stroke before. */
export const phases = ['next', 'touch', 'swell', 'over', 'stop', 'away'] as const
export type Phase = (typeof phases)[number]

/** Fastest that a hand turns a nail under a stroke, degrees a second: faster, and the petal tears. */
export const NAIL_DEG_PER_S = 90
/** Between strokes it is spun faster, on the average. */
const SPUN_DEG_PER_S = 130
/** Speed of the hand on its way to the next stroke, mm/s, and of the wrist turning the bag, degrees a second; on the average. */
const REACH_MM_PER_S = 70
const WRIST_DEG_PER_S = 150
/** Speed at which icing leaves any opening under a working hand, mm/s. */
const EXIT_MM_PER_S = 40

/** Lowering the tip, waiting for the icing to come, and lifting away, s. */
export const TOUCH_S = 0.32
const SWELL_S = 0.16
/** A pull or a bead is squeezed on the spot for longer before the hand goes. */
const SWELL_PULLED_S = 0.24
export const AWAY_S = 0.34
const LEAST_NEXT_S = 0.25
/** After the hand has let go a bag goes on pressing for this long, s: the hand stops squeezing so much before the end. */
export const GIVES_S = 0.16

/** The seconds of one stroke: when each phase begins, and when each moment of its way is reached. */
export interface Timing {
  begins: Record<Phase, number>
  seconds: number
  /** Seconds at which each moment is reached, from the stroke's own beginning. */
  at: Float64Array
  /** When the hand lets go of the squeeze. */
  letGo: number
}

/**
 * How long a stroke takes: as its hand moves, as the nail turns and as the icing comes, whichever is slowest on every
 * bit of the way.
 * @param nextS seconds on the way from the stroke before.
 */
export function timingOf(
  moments: readonly Moment[],
  about: { speedMmPerS: number; areaMm2: number; letGo: number; nextS: number },
): Timing {
  const at = new Float64Array(moments.length)
  const swell = about.letGo < 1 ? SWELL_PULLED_S : SWELL_S
  const over = about.nextS + TOUCH_S + swell
  let time = over
  at[0] = time
  for (let i = 1; i < moments.length; i++) {
    const [a, b] = [moments[i - 1]!, moments[i]!]
    const turn = (Math.abs(b.outward - a.outward) * 180) / Math.PI
    time += Math.max(
      distance(a.tip, b.tip) / about.speedMmPerS,
      turn / NAIL_DEG_PER_S,
      b.mm3 / (EXIT_MM_PER_S * about.areaMm2),
    )
    at[i] = time
  }
  const pulledFrom = at[Math.round(about.letGo * (moments.length - 1))]!
  const stop = Math.max(over, about.letGo < 1 ? pulledFrom - GIVES_S : time - GIVES_S)
  const away = time + GIVES_S / 4
  return {
    begins: { next: 0, touch: about.nextS, swell: about.nextS + TOUCH_S, over, stop, away },
    seconds: away + AWAY_S,
    at,
    letGo: stop,
  }
}

/** Seconds on the way to a stroke: as far as hand, wrist and nail have to go. */
export const nextSeconds = (way: { mm: number; wristDeg: number; nailDeg: number }): number =>
  Math.max(
    LEAST_NEXT_S,
    way.mm / REACH_MM_PER_S,
    way.wristDeg / WRIST_DEG_PER_S,
    Math.abs(way.nailDeg) / SPUN_DEG_PER_S,
  )

/** Seconds are sums: two nearer than this are the same. */
const SAME_S = 1e-6

/** What the hand is doing at a second of a stroke. */
export function phaseAt({ begins }: Timing, second: number): Phase {
  let found: Phase = 'next'
  for (const phase of phases) if (second + SAME_S >= begins[phase]) found = phase
  return found
}

/** How hard the bag is squeezed when a stroke is as full as the opening lets through, and the flow's exponent of pressure. */
const USUAL_SQUEEZE = 0.6
const SQUEEZE_PER_FLOW = 1 / 1.6
/** The squeeze comes up within this, s. */
const COMES_S = 0.12

/**
 * The squeeze at a second of a stroke, 0 to 1: as full as the icing is there, coming up before the hand goes and let go
 * before it has arrived.
 */
export function squeezeAt(timing: Timing, moments: readonly Moment[], flow: number, second: number): number {
  const { begins, letGo, at } = timing
  if (second <= begins.swell || second >= letGo + GIVES_S) return 0
  const usual = median(moments.map((m) => m.fullness)) || 1
  const here = Math.max(0.1, fullnessAt(moments, at, Math.min(second, letGo)) / usual)
  const wanted = Math.min(1, USUAL_SQUEEZE * (flow * Math.sqrt(here)) ** SQUEEZE_PER_FLOW)
  const coming = Math.min(1, (second - begins.swell) / Math.max(COMES_S, begins.over - begins.swell))
  const going = second < letGo ? 1 : 1 - (second - letGo) / GIVES_S
  return wanted * smooth(coming) * smooth(going)
}

function fullnessAt(moments: readonly Moment[], at: Float64Array, second: number): number {
  const [i, share] = placeAt(at, second)
  const next = Math.min(moments.length - 1, i + 1)
  return moments[i]!.fullness * (1 - share) + moments[next]!.fullness * share
}

/** Between which two moments a second lies, and how far from the first. */
export function placeAt(at: Float64Array, second: number): [index: number, share: number] {
  let [low, high] = [0, at.length - 1]
  if (second <= at[0]!) return [0, 0]
  if (second >= at[high]!) return [high, 0]
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (at[middle]! <= second) low = middle
    else high = middle
  }
  const span = at[high]! - at[low]!
  return [low, span > 0 ? (second - at[low]!) / span : 0]
}

export const smooth = (t: number): number => {
  const s = Math.min(1, Math.max(0, t))
  return s * s * (3 - 2 * s)
}

function median(values: number[]): number {
  values.sort((a, b) => a - b)
  return values[values.length >> 1]!
}
