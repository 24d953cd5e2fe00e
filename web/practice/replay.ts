import { type Sample, strokesOf } from '#core/practice/attempt'
import type { Laid } from '#core/practice/deposit'
import type { Ideal } from '#core/practice/ideal'
import type { StrokeRead } from '#core/practice/read'

/** One stroke of a try beside the ideal's, on one clock that begins when either touches. */
export interface Beside {
  /** Number of the stroke in the drill. */
  ideal: number
  /** When it begins in the try, and how long the longer of the two takes, s. */
  from: number
  seconds: number
  mine: readonly { t: number; squeeze: number }[]
  its: readonly { t: number; squeeze: number }[]
  /** When it lifts. */
  lifts: number
  /** How much later than the ideal's its squeeze ends, each against when its tip arrives, s. */
  late: number
}

/** A try and its ideal for watching: the ideal's strokes begin when those of the try do. */
export interface Replayed {
  strokes: readonly Beside[]
  mine: readonly Laid[]
  its: readonly Laid[]
  seconds: number
}

/** After a stroke the bag is watched for so long, s. */
const AFTER_S = 0.5

export function replayed(
  ideal: Ideal,
  samples: readonly Sample[],
  laid: readonly Laid[],
  reads: readonly StrokeRead[],
): Replayed {
  const own = strokesOf(samples)
  const model = strokesOf(ideal.trace)
  const strokes = [...reads]
    .sort((a, b) => a.attempts[0]! - b.attempts[0]!)
    .map(({ attempts, ideal: k, release }): Beside => {
      const [mine, its] = [attempts.flatMap((a) => own[a]!), model[k]!]
      const [from, itsFrom] = [mine[0]!.t, its[0]!.t]
      const curve = (of: readonly Sample[], zero: number) =>
        of.map((s) => ({ t: s.t - zero, squeeze: s.squeeze }))
      const lifts = mine.findLast((s) => s.down)!.t - from
      const itsLifts = its.findLast((s) => s.down)!.t - itsFrom
      return {
        ...{ ideal: k, from, lifts, seconds: Math.max(lifts, itsLifts) + AFTER_S },
        late: release - ideal.reads.find((r) => r.ideal === k)!.release,
        mine: curve(mine, from),
        its: curve(its, itsFrom),
      }
    })
  const starts = new Map(strokes.map((s) => [s.ideal, s.from]))
  const its = ideal.laid
    .flatMap((bit) => {
      const from = starts.get(bit.stroke)
      return from === undefined ? [] : [{ ...bit, seconds: bit.seconds - model[bit.stroke]![0]!.t + from }]
    })
    .sort((a, b) => a.seconds - b.seconds || a.stroke - b.stroke)
  const seconds = Math.max(samples.at(-1)?.t ?? 0, ...strokes.map((s) => s.from + s.seconds))
  return { strokes, mine: laid, its, seconds }
}
