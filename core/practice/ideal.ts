import type { PracticeSettings } from '../model/practice.ts'
import { type Sample, type Trace, USUAL_HEIGHT } from './attempt.ts'
import type { Laid, Outlet } from './deposit.ts'
import { type Drill, type DrillStroke, handAt, keyAt, nailAt, secondsOf } from './drill.ts'
import { answerOf, mouthOf, USUAL_SQUEEZE } from './flow.ts'
import { layTrace } from './lay.ts'
import { read, type StrokeRead } from './read.ts'
import type { Senses } from './senses.ts'

/** How often a steady hand's way is written down, s. */
const EVERY_S = 1 / 120
/** From one stroke to the next, s. */
export const BETWEEN_S = 0.45

/** Everything that is needed to lay a drill's icing. */
export function outletOf(drill: Drill, { flows, bagFull }: PracticeSettings, gentle: boolean): Outlet {
  const icing = flows[drill.stiffness]
  const mouth = mouthOf(drill.opening)
  return {
    icing,
    mouth,
    answer: answerOf(icing, mouth, drill.flow, bagFull, gentle),
    heightShare: drill.heightShare ?? icing.heightShare,
    section: drill.section ?? mouth.areaMm2,
  }
}

/** Holding down comes to the usual squeeze within this, s. */
export const RAMP_S = 0.15

/** A stroke as a hand does it that can only squeeze and let go: on until the drill's own squeeze is half gone. */
function heldDown(stroke: DrillStroke): DrillStroke {
  const { keys } = stroke
  const most = Math.max(...keys.map((k) => k.squeeze))
  const end = secondsOf(stroke)
  let release = end
  while (release > RAMP_S && keyAt(stroke, release).squeeze < most / 2) release -= EVERY_S
  const at = (t: number) => keyAt(stroke, t).at
  const own = keys.flatMap((k) =>
    k.t > RAMP_S && k.t < release
      ? [{ ...k, squeeze: USUAL_SQUEEZE }]
      : k.t > release + EVERY_S
        ? [{ ...k, squeeze: 0 }]
        : [],
  )
  const marks = [
    { t: 0, at: at(0), squeeze: 0 },
    { t: RAMP_S, at: at(RAMP_S), squeeze: USUAL_SQUEEZE },
    { t: release, at: at(release), squeeze: USUAL_SQUEEZE },
    { t: release + EVERY_S, at: at(release + EVERY_S), squeeze: 0 },
    { t: end + 2 * EVERY_S, at: 1, squeeze: 0 },
  ]
  return { ...stroke, keys: [...marks, ...own].sort((a, b) => a.t - b.t) }
}

/** A drill as it should be: what a hand without any fault does, what it lays, and what is read from that. */
export interface Ideal {
  drill: Drill
  outlet: Outlet
  middle: { x: number; y: number }
  trace: Trace
  laid: readonly Laid[]
  reads: readonly StrokeRead[]
}

/** A hand that does exactly what a drill says. */
export function idealTrace(drill: Drill): Trace {
  const samples: Sample[] = []
  let from = 0
  for (const stroke of drill.strokes) {
    const seconds = secondsOf(stroke)
    const sample = (t: number, down: boolean): Sample => {
      const key = keyAt(stroke, t)
      return {
        ...{ t: from + t, ...handAt(drill, stroke, key.at), squeeze: down ? key.squeeze : 0 },
        ...{ height: USUAL_HEIGHT, nail: nailAt(stroke, key.at), down },
      }
    }
    const count = Math.ceil(seconds / EVERY_S)
    for (let i = 0; i <= count; i++) samples.push(sample((seconds * i) / count, true))
    samples.push(sample(seconds + EVERY_S, false))
    from += seconds + BETWEEN_S
  }
  return samples
}

/**
 * A drill's ideal, laid by the same simulation as every try.
 * @param squeeze what the device tells of it: where only when, the ideal too does no more than squeeze and let go.
 */
export function idealOf(
  asked: Drill,
  settings: PracticeSettings,
  gentle: boolean,
  squeeze: Senses['squeeze'] = 'full',
): Ideal {
  const drill = squeeze === 'full' ? asked : { ...asked, strokes: asked.strokes.map(heldDown) }
  const outlet = outletOf(drill, settings, gentle)
  const middle = drill.nail?.middle ?? { x: 0, y: 0 }
  const trace = idealTrace(drill)
  const laid = layTrace(trace, outlet, middle)
  return { drill, outlet, middle, trace, laid, reads: read(drill, outlet, trace, laid) }
}
