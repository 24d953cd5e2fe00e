import { follower } from './along.ts'
import { onNail, type Point, type Sample, strokesOf, type Trace } from './attempt.ts'
import { domeRadius, type Laid, type Outlet } from './deposit.ts'
import { type Drill, type DrillStroke, lengthOf } from './drill.ts'
import { matched } from './match.ts'
import { mean, median, robustSpread } from './numbers.ts'

/** What is read from one stroke of a try. Lengths in mm, volumes in mm³, times in s. */
export interface StrokeRead {
  /** Which strokes of the try it was made in, and which of the drill it is. */
  attempts: readonly number[]
  ideal: number
  volume: number
  /** Icing to a mm of the way, in even bits along it. */
  bins: readonly number[]
  /** How far off the way it lies, root mean square. */
  off: number
  /** How far from where it should it begins and ends; beyond the end is positive, short of it negative. */
  startOff: number
  endOff: number
  tail: number
  gaps: number
  heaps: number
  seconds: number
  /** From the first squeeze to the last. */
  hold: number
  /** The squeeze at its fullest, coming and going aside, and how it wavers: the robust spread of its logarithm. */
  squeeze: number
  wavers: number
  /** When the squeeze ends after the tip has arrived; before that it is negative. */
  release: number
  height: number
  /** How unevenly the nail turns: spread over mean of its rate; null where it is not turned. */
  nail: number | null
}

/** Less than this is no squeeze. */
export const SQUEEZED = 0.12
/** Shortest bit of a way that icing is measured over: so many mm and this share of the opening. */
const BIN_MM = 1.2
const BIN_SHARE = 0.5

/** Reads a try, one reading for every stroke of the drill that was piped; what was taken up again counts together. */
export function read(drill: Drill, outlet: Outlet, trace: Trace, laid: readonly Laid[]): StrokeRead[] {
  const strokes = strokesOf(trace)
  const middle = drill.nail?.middle ?? { x: 0, y: 0 }
  const went = strokes.map((samples) => samples.filter((s) => s.down).map((s) => onNail(s, s.nail, middle)))
  const own: Laid[][] = strokes.map(() => [])
  for (const bit of laid) own[bit.stroke]?.push(bit)
  const attemptsOf = new Map<number, number[]>()
  matched(drill, went).forEach((ideal, attempt) => {
    if (ideal !== null) attemptsOf.set(ideal, [...(attemptsOf.get(ideal) ?? []), attempt])
  })
  return [...attemptsOf].map(([ideal, attempts]) => ({
    ...{ attempts, ideal },
    ...lies(
      drill,
      ideal,
      outlet,
      attempts.map((a) => own[a]!),
      went[attempts[0]!]![0]!,
    ),
    ...together(
      attempts.map((a) => handOf(strokes[a]!, went[a]!, outlet.mouth.acrossMm, drill.strokes[ideal]!)),
    ),
  }))
}

/** A tail lies off the way. */
const NOWHERE = { alongMm: 0, offMm: 0 }

function lies(
  drill: Drill,
  ideal: number,
  outlet: Outlet,
  parts: readonly (readonly Laid[])[],
  first: Point,
) {
  const { path } = drill.strokes[ideal]!
  const length = lengthOf(path)
  const d = outlet.mouth.acrossMm
  const count = Math.max(1, Math.round(length / Math.max(BIN_MM, BIN_SHARE * d)))
  const bins = new Array<number>(count).fill(0)
  const stepMm = path.length > 1 ? length / (path.length - 1) : 1
  const pour = (from: number, to: number, volume: number) => {
    // spread evenly over the bins it covers
    const size = length / count
    const [a, b] = [Math.max(0, from), Math.min(length, Math.max(to, from + 1e-9))]
    if (length === 0 || b <= a) {
      bins[Math.min(count - 1, Math.max(0, Math.floor((from / (length || 1)) * count)))]! += volume
      return
    }
    for (let i = Math.floor(a / size); i <= Math.min(count - 1, Math.floor(b / size)); i++) {
      const share = (Math.min(b, (i + 1) * size) - Math.max(a, i * size)) / (b - a)
      bins[i]! += volume * Math.max(0, share)
    }
  }
  let [volume, gaps, heaps, way, squares, tail] = [0, 0, 0, 0, 0, 0]
  let end: { alongMm: number; at: Point } | null = null
  const bitsAlong = parts.flatMap((bits) => {
    // each part is followed from wherever on the way it begins
    const follow = follower(path, stepMm)
    return bits.map((bit) => ({ bit, ...(bit.kind === 'tail' ? NOWHERE : follow.next(bit)) }))
  })
  for (const { bit, alongMm, offMm } of bitsAlong) {
    if (bit.kind === 'tail') {
      tail = Math.max(tail, bit.lengthMm)
      continue
    }
    volume += bit.volumeMm3
    if (bit.kind === 'dome') {
      const half = domeRadius(bit.volumeMm3, outlet.heightShare)
      pour(alongMm - half, alongMm + half, bit.volumeMm3)
    } else {
      pour(alongMm - bit.lengthMm, alongMm, bit.volumeMm3)
      way += bit.lengthMm
      squares += offMm ** 2 * bit.lengthMm
      if (bit.gap) gaps += bit.lengthMm
      if (bit.heaped) heaps += bit.lengthMm
    }
    // a part that was added before another is no end
    if (!bit.gap && bit.volumeMm3 > 0 && (end === null || parts.length === 1 || alongMm >= end.alongMm))
      end = { alongMm, at: bit }
  }
  const starts = path[0]!
  const ends = path.at(-1)!
  // beyond the end the way has no more to say: what is short of it is along it, what is past it is straight
  const short = end ? length - end.alongMm : length
  const past = end ? Math.hypot(end.at.x - ends.x, end.at.y - ends.y) : 0
  return {
    volume,
    bins: bins.map((v) => (length > 0 ? (v * count) / length : v)),
    off:
      path.length > 1 && way > 0
        ? Math.sqrt(squares / way)
        : Math.hypot(first.x - starts.x, first.y - starts.y),
    startOff: Math.hypot(first.x - starts.x, first.y - starts.y),
    endOff: path.length === 1 ? 0 : short > 0.5 ? -Math.max(short, 0) : past,
    tail,
    gaps: way > 0 ? gaps / way : 0,
    heaps: way > 0 ? heaps / way : 0,
  }
}

/** A tip has arrived when it is nearer to where it stays than this: mm, or a share of the opening. */
const ARRIVED_MM = 1
const ARRIVED_SHARE = 0.25
/** The squeeze is looked at only between so much of its time from either end: coming and going are no wavering. */
const EDGE_SHARE = 0.2

/** What is passed by so much of it: neither a spike nor the time it takes to come. */
const FULLEST = 0.7

function high(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(FULLEST * (sorted.length - 1))] ?? 0
}

function handOf(samples: readonly Sample[], went: readonly Point[], d: number, { nails }: DrillStroke) {
  const down = samples.filter((s) => s.down)
  const [first, last] = [down[0]!, down.at(-1)!]
  const seconds = last.t - first.t
  const squeezed = samples.filter((s) => s.squeeze >= SQUEEZED)
  const from = squeezed[0]?.t ?? first.t
  const released = squeezed.at(-1)?.t ?? first.t
  const near = Math.max(ARRIVED_MM, ARRIVED_SHARE * d)
  const stays = went.at(-1)!
  let arrived = down.length - 1
  while (arrived > 0 && Math.hypot(went[arrived - 1]!.x - stays.x, went[arrived - 1]!.y - stays.y) < near)
    arrived--
  const edge = EDGE_SHARE * (released - from)
  const within = squeezed.filter((s) => s.t >= from + edge && s.t <= released - edge)
  return {
    seconds,
    hold: released - from,
    squeeze: high(squeezed.map((s) => s.squeeze)),
    wavers: robustSpread(within.map((s) => Math.log(s.squeeze))),
    release: released - down[arrived]!.t,
    height: median(down.map((s) => s.height)),
    nail: nails && Math.abs(nails.at(-1)! - nails[0]!) > TURNS ? nailUnevenness(down) : null,
  }
}

/** What a hand did over the parts of one stroke: times add up, it lets go with the last, the rest is as in the middle of them. */
function together(parts: readonly ReturnType<typeof handOf>[]) {
  if (parts.length === 1) return parts[0]!
  const sum = (of: (part: (typeof parts)[number]) => number) => parts.reduce((all, p) => all + of(p), 0)
  const nails = parts.flatMap((p) => p.nail ?? [])
  return {
    seconds: sum((p) => p.seconds),
    hold: sum((p) => p.hold),
    squeeze: median(parts.map((p) => p.squeeze)),
    wavers: median(parts.map((p) => p.wavers)),
    release: parts.at(-1)!.release,
    height: median(parts.map((p) => p.height)),
    nail: nails.length > 0 ? median(nails) : null,
  }
}

/** A stroke that turns the nail by less than this, radians, does not turn it. */
const TURNS = 0.15
/** The nail's rate is taken over so long, s. */
const RATE_S = 0.05
/** A nail is set going and stopped over this share of a stroke at either end. */
const NAIL_EDGE_SHARE = 0.15

function nailUnevenness(down: readonly Sample[]): number | null {
  const rates: number[] = []
  const edge = NAIL_EDGE_SHARE * (down.at(-1)!.t - down[0]!.t)
  let from = down.findIndex((s) => s.t >= down[0]!.t + edge)
  for (let i = from + 1; i < down.length && down[i]!.t <= down.at(-1)!.t - edge; i++)
    if (down[i]!.t - down[from]!.t >= RATE_S) {
      rates.push(Math.abs(down[i]!.nail - down[from]!.nail) / (down[i]!.t - down[from]!.t))
      from = i
    }
  const rate = mean(rates)
  if (rate < 0.05) return null
  return Math.sqrt(mean(rates.map((r) => (r - rate) ** 2))) / rate
}
