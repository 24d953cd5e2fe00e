import { type Sample, USUAL_HEIGHT } from '#core/practice/attempt'
import type { Laid } from '#core/practice/deposit'
import { keyAt, nailAt, secondsOf } from '#core/practice/drill'
import { USUAL_SQUEEZE } from '#core/practice/flow'
import { type Ideal, RAMP_S } from '#core/practice/ideal'
import { type Laying, newLaying } from '#core/practice/lay'
import { kept, LEAST_APART_S } from '#core/practice/pack'

/** What the squeeze is taken from: a stylus, holding down, or what the other hand moves. */
export type Squeezes = 'pen' | 'hold' | 'lever'
/** What the other hand does with its lever, the wheel or the keys. */
export type OtherHand = 'squeeze' | 'height' | 'nail' | 'nothing'

/** A mouse button that is let go of is a hand that stops squeezing: the tip is lifted so much later, s. */
const LIFTS_AFTER_S = 0.3
/** A tip that nothing was heard of for so long stays where it is, s; sooner it may be on its way, and a slow pointer has not said so yet. */
const STAYS_AFTER_S = 0.08
/** After a lift the squeeze is listened to for so long, s. */
const LISTENS_S = 0.5

/** One moment of a pointer: where it is on the sheet in mm, when in ms, and how hard a pen presses, 0 to 1. */
export interface Touch {
  x: number
  y: number
  ms: number
  pressure: number
}

/** A try while it is piped. */
export interface Piping {
  readonly samples: readonly Sample[]
  readonly laid: readonly Laid[]
  /** Strokes begun, whether the tip is down, and since when it is not, ms. */
  readonly strokes: number
  readonly down: boolean
  readonly liftedAt: number | null
  /** Where things are now, for the eye. */
  readonly squeeze: number
  readonly nail: number
  press(touch: Touch, squeezes: Squeezes): void
  move(touch: Touch): void
  release(touch: Touch, stays: boolean): void
  /** Time goes on though nothing moves. */
  tick(ms: number): void
  /** Of the lever, 0 to 1; of the nail how far it was turned, radians. */
  lever(value: number): void
  turn(radians: number): void
  /** The last stroke as if it had not been. */
  undo(): void
}

/** A try at a drill, fed by pointers and a clock; it knows nothing of a screen. */
export function newPiping(ideal: Ideal, other: OtherHand): Piping {
  const { drill, outlet, middle } = ideal
  let samples: Sample[] = []
  let laying: Laying = newLaying(outlet, middle)
  let zero: number | null = null
  let [down, pressed, stays] = [false, false, false]
  let squeezes: Squeezes = 'hold'
  let [touchedAt, pressedAt, letGoAt] = [0, 0, 0]
  let liftedAt: number | null = null
  let [x, y, pressure] = [0, 0, 0]
  let lever = 0
  let height = USUAL_HEIGHT
  let turned = drill.strokes[0]?.nails?.[0] ?? 0
  let strokes = 0

  let now = 0
  /** When the pointer last said where it is, ms. */
  let heardAt = 0

  const seconds = (ms: number) => (ms - (zero ?? ms)) / 1000
  const squeezeAt = (ms: number): number => {
    if (squeezes === 'lever') return lever
    if (!pressed) return 0
    if (squeezes === 'pen') return pressure
    return USUAL_SQUEEZE * Math.min(1, (ms - pressedAt) / 1000 / RAMP_S)
  }
  /** A nail that turns by itself goes as it does in the drill, from each touch on. */
  const nailNow = (ms: number): number => {
    if (!drill.nail || other === 'nail') return turned
    const stroke = drill.strokes[Math.min(drill.strokes.length - 1, Math.max(0, strokes - (down ? 1 : 0)))]
    if (!stroke) return 0
    const since = down ? Math.min(secondsOf(stroke), (ms - touchedAt) / 1000) : 0
    return nailAt(stroke, keyAt(stroke, since).at)
  }
  const push = (ms: number, force = false) => {
    const t = seconds(ms)
    const last = samples.at(-1)
    if (last && t - last.t < (force ? 0.0005 : LEAST_APART_S)) return
    const sample = kept({ t, x, y, squeeze: squeezeAt(ms), height, nail: nailNow(ms), down })
    samples.push(sample)
    laying.push(sample)
  }
  const lift = (ms: number) => {
    push(ms, true)
    down = false
    liftedAt = ms
    push(ms + 1, true)
  }

  return {
    get samples() {
      return samples
    },
    get laid() {
      return laying.laid
    },
    get strokes() {
      return strokes
    },
    get down() {
      return down
    },
    get liftedAt() {
      return liftedAt
    },
    get squeeze() {
      return samples.at(-1)?.squeeze ?? 0
    },
    get nail() {
      return nailNow(now)
    },
    press(touch, by) {
      now = touch.ms
      zero ??= touch.ms
      heardAt = touch.ms
      if (down) lift(touch.ms)
      squeezes = by
      ;[x, y, pressure] = [touch.x, touch.y, touch.pressure]
      ;[down, pressed, stays] = [true, true, false]
      ;[touchedAt, pressedAt, liftedAt] = [touch.ms, touch.ms, null]
      strokes++
      push(Math.max(touch.ms, zero + 1000 * (samples.at(-1)?.t ?? 0) + 1), true)
    },
    move(touch) {
      if (!down) return
      now = heardAt = touch.ms
      ;[x, y, pressure] = [touch.x, touch.y, touch.pressure]
      push(touch.ms)
    },
    release(touch, staysDown) {
      if (!down) return
      ;[x, y] = [touch.x, touch.y]
      now = heardAt = touch.ms
      pressed = false
      stays = staysDown
      letGoAt = touch.ms
      if (stays) push(touch.ms, true)
      else lift(touch.ms)
    },
    tick(ms) {
      now = ms
      if (zero === null) return
      if (down && stays && (ms - letGoAt) / 1000 > LIFTS_AFTER_S) lift(ms)
      else if (down) {
        if ((ms - heardAt) / 1000 > STAYS_AFTER_S) push(ms)
      } else if (liftedAt !== null && (ms - liftedAt) / 1000 < LISTENS_S) push(ms)
    },
    lever(value) {
      if (other === 'height') height = value
      else lever = value
    },
    turn(radians) {
      turned += radians
    },
    undo() {
      if (strokes === 0) return
      const from = samples.findLastIndex((s, i) => s.down && !samples[i - 1]?.down)
      samples = samples.slice(0, Math.max(0, from))
      laying = newLaying(outlet, middle)
      for (const sample of samples) laying.push(sample)
      strokes--
      ;[down, pressed, liftedAt] = [false, false, samples.length > 0 ? liftedAt : null]
    },
  }
}
