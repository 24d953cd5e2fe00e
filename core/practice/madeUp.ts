import { type Random, seeded, smoothNoise } from '../random.ts'
import { onNail, type Sample, USUAL_HEIGHT } from './attempt.ts'
import { type Drill, keyAt, lengthOf, nailAt, pointAt, secondsOf } from './drill.ts'
import type { HandFault } from './faults.ts'
import { BETWEEN_S } from './ideal.ts'

/** How a made-up hand differs from an exact one: for the demo bakery and for tests. */
export interface Skill {
  /** Off the way, mm, and where a stroke begins and ends. */
  offMm: number
  placeMm: number
  /** Natural logarithms: its own pace, the pace along a stroke, its own squeeze, from stroke to stroke, within one. */
  pace: number
  paceWithin: number
  squeeze: number
  between: number
  within: number
  /** When it lets go, s. */
  release: number
  nail: number
}

const skill = (offMm: number, placeMm: number, rest: Omit<Skill, 'offMm' | 'placeMm'>): Skill => ({
  offMm,
  placeMm,
  ...rest,
})
export const EXPERT = skill(0.22, 0.3, {
  ...{
    pace: 0.05,
    paceWithin: 0.04,
    squeeze: 0.02,
    between: 0.025,
    within: 0.025,
    release: 0.02,
    nail: 0.05,
  },
})
/** Trembles more than it should, and makes no mistake. */
export const NOISY = skill(0.4, 0.55, {
  ...{
    pace: 0.08,
    paceWithin: 0.07,
    squeeze: 0.035,
    between: 0.045,
    within: 0.045,
    release: 0.035,
    nail: 0.09,
  },
})
export const BEGINNER = skill(1.1, 1.5, {
  ...{ pace: 0.12, paceWithin: 0.2, squeeze: 0.07, between: 0.11, within: 0.13, release: 0.09, nail: 0.25 },
})

/** A hand that is so far, 0 to 1, from one to another. */
export function onTheWay(from: Skill, to: Skill, share: number): Skill {
  const out = { ...from }
  for (const key of Object.keys(from) as (keyof Skill)[]) out[key] = from[key] + (to[key] - from[key]) * share
  return out
}

/** What can go wrong at a drill at all. */
export function canGoWrong(drill: Drill): HandFault[] {
  const rows: HandFault[] = drill.strokes.length < 3 ? [] : ['order']
  const moves: HandFault[] = drill.looks === 'spots' ? [] : ['fast', 'slow', 'high']
  const turned = ({ nails }: Drill['strokes'][number]) => nails && Math.abs(nails.at(-1)! - nails[0]!) > 0.15
  const nails: HandFault[] = drill.strokes.some(turned) ? ['nail'] : []
  const alone = drill.looks === 'spots' && drill.strokes.length < 3
  const waves: HandFault[] = alone ? [] : ['uneven']
  return [...moves, 'much', 'little', 'late', 'early', ...waves, ...nails, ...rows]
}

/** Faults as they happen: from as much as one sees to as much as one laughs at. `much` is 0 to 1. */
interface Wrong {
  pace: number
  squeeze: number
  release: number
  hold: number
  within: number
  between: number
  nail: number
  swaps: number
  height: number
}
function wrongBy(fault: HandFault | null, much: number): Wrong {
  const none: Wrong = {
    ...{ pace: 1, squeeze: 1, release: 0, hold: 1, within: 0, between: 0, nail: 0, swaps: 0 },
    height: USUAL_HEIGHT,
  }
  const by = (least: number, most: number) => least + (most - least) * much
  switch (fault) {
    case 'fast':
      return { ...none, pace: by(1.5, 2) }
    case 'slow':
      return { ...none, pace: 1 / by(1.5, 2) }
    case 'much':
      return { ...none, squeeze: by(1.3, 1.55) }
    case 'little':
      return { ...none, squeeze: 1 / by(1.3, 1.6) }
    case 'late':
      return { ...none, release: by(0.24, 0.45), hold: by(1.7, 2.4) }
    case 'early':
      return { ...none, release: -by(0.28, 0.5), hold: 1 / by(1.7, 2.4) }
    case 'uneven':
      return { ...none, within: by(0.28, 0.45), between: by(0.22, 0.35) }
    case 'nail':
      return { ...none, nail: by(0.6, 1) }
    case 'order':
      return { ...none, swaps: by(0.35, 0.8) }
    case 'high':
      return { ...none, height: by(1.5, 2.6) }
    default:
      return none
  }
}

const EVERY_S = 1 / 120
const PIXEL_MM = 25.4 / 96

/** Standard normal, from two even numbers (Box and Muller). */
const normal = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** Noise that goes smoothly, of standard deviation one, with about so many swings. */
function wander(random: Random, swings: number): (share: number) => number {
  const noise = smoothNoise(random, Math.ceil(swings) + 1)
  // triangular values, smoothed between: their spread is 0.35
  return (share) => noise(share * swings) / 0.35
}

/** A try by a made-up hand. The seed is all the chance there is. */
export function tryOf(
  drill: Drill,
  seed: number,
  hand: Skill,
  faults: readonly (readonly [HandFault, number])[] = [],
): Sample[] {
  const random = seeded(seed * 7919 + 17)
  const wrongs = faults.map(([fault, much]) => wrongBy(fault, much))
  const product = (key: 'pace' | 'squeeze' | 'hold') => wrongs.reduce((p, w) => p * w[key], 1)
  const sum = (key: 'release' | 'within' | 'between' | 'nail' | 'swaps') =>
    wrongs.reduce((p, w) => p + w[key], 0)
  const height = Math.max(USUAL_HEIGHT, ...wrongs.map((w) => w.height))
  const pace = product('pace') * Math.exp(hand.pace * normal(random))
  const squeeze = product('squeeze') * Math.exp(hand.squeeze * normal(random))
  const samples: Sample[] = []
  let from = 0
  for (const k of shuffled(drill.strokes.length, sum('swaps'), random)) {
    const stroke = drill.strokes[k]!
    const spot = stroke.path.length === 1
    const seconds = secondsOf(stroke) / (spot ? 1 : pace)
    // from stroke to stroke there is nothing to differ where there is one alone
    const between = drill.strokes.length > 2 ? Math.hypot(hand.between, sum('between')) : 0
    const own = squeeze * Math.exp(between * normal(random))
    const swings = Math.max(2, seconds / 0.35)
    const [alongX, alongY, flows, paces, nails] = [0, 1, 2, 3, 4].map(() => wander(random, swings)) as [
      (s: number) => number,
      (s: number) => number,
      (s: number) => number,
      (s: number) => number,
      (s: number) => number,
    ]
    const place = { x: hand.placeMm * 0.7 * normal(random), y: hand.placeMm * 0.7 * normal(random) }
    const late = hand.release * normal(random)
    const gait = squeezing(stroke.keys, {
      ...{ spot, pace, hold: product('hold') * Math.exp(2 * late), shift: sum('release') + late },
    })
    const down = spot ? gait.until + 0.22 : seconds
    const length = lengthOf(stroke.path)
    const count = Math.ceil((down + 0.45) / EVERY_S)
    for (let i = 0; i <= count; i++) {
      const t = i * EVERY_S
      const share = Math.min(1, t / seconds)
      const warped = Math.min(
        1,
        Math.max(
          0,
          share + (hand.paceWithin * paces(share) * 0.35 * Math.sin(Math.PI * share)) / Math.sqrt(swings),
        ),
      )
      const key = keyAt(stroke, warped * secondsOf(stroke))
      const at = pointAt(stroke.path, key.at)
      const off = length > 0 ? hand.offMm : 0
      const fade = 1 - share
      const point = {
        x: at.x + off * alongX(share) + place.x * (spot ? 1 : fade),
        y: at.y + off * alongY(share) + place.y * (spot ? 1 : fade),
      }
      const p = gait.at(t)
      const wavering = Math.exp(Math.hypot(hand.within, sum('within')) * flows(share))
      const nailed = nailAt(stroke, key.at)
      const nail = stroke.nails
        ? nailed + Math.hypot(hand.nail, sum('nail')) * 0.22 * nails(share) * Math.sin(Math.PI * share)
        : nailed
      const seen = drill.nail ? onNail(point, -nailed, drill.nail.middle) : point
      const isDown = t <= down
      samples.push({
        t: from + t,
        x: Math.round(seen.x / PIXEL_MM) * PIXEL_MM,
        y: Math.round(seen.y / PIXEL_MM) * PIXEL_MM,
        squeeze: Math.min(1, Math.max(0, p * own * wavering)),
        height: height * Math.exp(0.04 * normal(random)),
        nail,
        down: isDown,
      })
    }
    from += down + 0.45 + BETWEEN_S
  }
  return samples
}

/** A squeeze over this share of its most has not begun to fall. */
const FULL_SHARE = 0.8

/** A drill's squeeze on a clock of its own: held and let go of as this hand does, whatever the way. */
function squeezing(
  keys: Drill['strokes'][number]['keys'],
  about: { spot: boolean; pace: number; hold: number; shift: number },
): { at(t: number): number; until: number } {
  const end = keys.findLastIndex((_k, i) => i > 0 && keys[i - 1]!.squeeze > 0)
  const most = Math.max(...keys.map((k) => k.squeeze))
  const full = keys.findLastIndex((k) => k.squeeze > FULL_SHARE * most)
  const [begins, ends] = [keys[full]!, keys[end]!]
  const clock = about.spot ? 1 : about.pace
  let [from, until] = [begins.t / clock, ends.t / clock]
  if (about.spot) {
    from *= about.hold
    until = from + (ends.t - begins.t)
  } else {
    const shift = Math.max(about.shift, -0.55 * until)
    const eased = ends.t - begins.t > 0.1
    until += shift
    // what is eased off over a while is eased off for longer; what is let go of at once is let go of later
    if (!eased) from += shift
    else if (shift < 0) from *= until / (until - shift)
  }
  return {
    until,
    at(t) {
      if (t >= until) return 0
      if (t > from) return begins.squeeze * (1 - (t - from) / (until - from))
      let squeeze = 0
      keys.slice(0, full).forEach((key, i) => {
        const next = keys[i + 1]!
        const s = Math.min(t * clock, begins.t)
        if (s >= key.t && s <= next.t)
          squeeze = key.squeeze + ((next.squeeze - key.squeeze) * (s - key.t)) / (next.t - key.t)
      })
      return squeeze
    },
  }
}

/** Numbers from 0, with so many of them changed about. */
function shuffled(count: number, swaps: number, random: Random): number[] {
  const order = Array.from({ length: count }, (_, i) => i)
  const [times, all] = [Math.ceil(swaps * count), count]
  if (swaps > 0)
    for (let n = 0; n < times; n++) {
      const [a, b] = [Math.floor(random() * all), Math.floor(random() * all)]
      ;[order[a], order[b]] = [order[b]!, order[a]!]
    }
  return order
}
