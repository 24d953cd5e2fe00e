import { practiceSettingsSchema } from '#core/model/practice'
import { judge } from '#core/practice/advice'
import type { Sample } from '#core/practice/attempt'
import { drillNamed } from '#core/practice/drills'
import { type Ideal, idealOf } from '#core/practice/ideal'
import { layTrace, newLaying } from '#core/practice/lay'
import { NOISY, tryOf } from '#core/practice/madeUp'
import { read } from '#core/practice/read'
import type { Benchmark } from './benchmark.ts'

const SAMPLES = 2000

/** What a frame of piping costs without its drawing, and what judging a long try does. */
export function practiceBenchmarks(): Benchmark[] {
  const settings = practiceSettingsSchema.parse({})
  const ideal = idealOf(drillNamed('zigzag', settings), settings, false)
  const trace = longTry(ideal)
  return [
    {
      id: 'practice-frame',
      what: 'a frame at two samples: the slowest of twenty of a whole try; the aim is 2',
      unit: 'milliseconds',
      against: 'none: the aim is 2',
      measure: () => slowFrame(ideal, trace),
    },
    {
      id: 'practice-diagnose',
      what: `a try of ${SAMPLES} samples laid, read and judged`,
      unit: 'ms',
      against: 'laying it alone',
      run: () =>
        void judge(
          ideal,
          read(ideal.drill, ideal.outlet, trace, layTrace(trace, ideal.outlet, ideal.middle)),
          { squeeze: 'full', height: true, nail: true },
          settings.sureAt,
        ),
      baseline: () => void layTrace(trace, ideal.outlet, ideal.middle),
    },
  ]
}

/** A try of so many samples, as a slow screen gives them: one long stroke, thinned or not. */
function longTry({ drill }: Ideal): Sample[] {
  const tried = tryOf(drill, 3, NOISY)
  const last = tried.at(-1)!
  const every = last.t / (SAMPLES - 1)
  return Array.from({ length: SAMPLES }, (_, i) => {
    const sample = tried.findLast((s) => s.t <= i * every + 1e-9) ?? tried[0]!
    return { ...sample, t: i * every }
  })
}

/** The 95th percentile of the frames of a try, ms. */
function slowFrame({ outlet, middle }: Ideal, trace: readonly Sample[]): number {
  const laying = newLaying(outlet, middle)
  const frames: number[] = []
  for (let i = 0; i + 1 < trace.length; i += 2) {
    const begun = performance.now()
    laying.push(trace[i]!)
    laying.push(trace[i + 1]!)
    frames.push(performance.now() - begun)
  }
  return frames.sort((a, b) => a - b)[Math.floor(0.95 * frames.length)]!
}
