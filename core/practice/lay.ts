import { onNail, type Point, type Sample, type Trace } from './attempt.ts'
import { type Deposit, type Laid, newDeposit, type Outlet } from './deposit.ts'
import { newSteady } from './steady.ts'

/** Steps of the simulation, s: a sample of any device is several of them. */
const STEP_S = 1 / 240
/** After lifting a bag is listened to for so long, s. */
const LISTENS_S = 0.6

/** Icing laid live, a sample at a time. */
export interface Laying {
  readonly laid: readonly Laid[]
  push(sample: Sample): void
  /** The samples are over: what the bag still gives comes. */
  end(): void
}

/** A try being laid: samples in, icing out. @param middle of the nail, where the drill turns one. */
export function newLaying(outlet: Outlet, middle: Point): Laying {
  const deposit = newDeposit(outlet)
  const steady = newSteady()
  let last: (Sample & { at: Point }) | null = null

  const coast = (deposit: Deposit, squeeze: number, from: number, until: number) => {
    for (let t = from + STEP_S; t <= Math.min(until, from + LISTENS_S); t += STEP_S)
      deposit.after(squeeze, t, STEP_S)
  }

  return {
    laid: deposit.laid,
    push(sample) {
      const raw = onNail(sample, sample.nail, middle)
      if (sample.down && !last?.down) {
        if (last) coast(deposit, last.squeeze, last.t, sample.t)
        steady.touch(raw)
        deposit.touch(raw, sample.t)
        last = { ...sample, at: raw }
        return
      }
      if (!last) return
      const seconds = sample.t - last.t
      if (!sample.down) {
        if (last.down) deposit.lift()
        if (seconds > 0)
          steps(seconds, (share, dt, t) => deposit.after(mix(last!, sample, share), t, dt), last.t)
        last = { ...sample, at: last.at }
        return
      }
      if (seconds <= 0) return
      const at = steady.move(raw, seconds)
      const before = last
      steps(
        seconds,
        (share, dt, t) =>
          deposit.step(
            {
              x: before.at.x + (at.x - before.at.x) * share,
              y: before.at.y + (at.y - before.at.y) * share,
            },
            mix(before, sample, share),
            (before.height + (sample.height - before.height) * share) * outlet.mouth.acrossMm,
            t,
            dt,
          ),
        before.t,
      )
      last = { ...sample, at }
    },
    end() {
      if (!last) return
      if (last.down) deposit.lift()
      coast(deposit, 0, last.t, Number.POSITIVE_INFINITY)
      last = null
    },
  }
}

const mix = (a: Sample, b: Sample, share: number): number => a.squeeze + (b.squeeze - a.squeeze) * share

/** A span of time in even steps of about the simulation's own. */
function steps(seconds: number, each: (share: number, dt: number, t: number) => void, from: number): void {
  const count = Math.max(1, Math.round(seconds / STEP_S))
  const dt = seconds / count
  for (let i = 1; i <= count; i++) each(i / count, dt, from + i * dt)
}

/** Everything a whole try lays. */
export function layTrace(trace: Trace, outlet: Outlet, middle: Point): readonly Laid[] {
  const laying = newLaying(outlet, middle)
  for (const sample of trace) laying.push(sample)
  laying.end()
  return laying.laid
}
