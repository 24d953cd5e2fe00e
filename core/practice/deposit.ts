import type { IcingFlow } from '../model/practice.ts'
import type { Point } from './attempt.ts'
import { type Answer, lagged, type Mouth, USUAL_SQUEEZE } from './flow.ts'

/** A bit of icing on the sheet, in the order it was laid; `seconds` is when. */
export interface Laid extends Point {
  kind: 'rope' | 'dome' | 'tail'
  /** Which stroke of the try, from 0. */
  stroke: number
  seconds: number
  /** Way it goes, radians; of a dome, that of the rope before. */
  heading: number
  /** Of a rope its own length, of a tail how far it is drawn; 0 of a dome. */
  lengthMm: number
  widthMm: number
  volumeMm3: number
  /** The rope does not reach the sheet here: nothing lies. */
  gap: boolean
  heaped: boolean
  /** The tip was lifted here. */
  ends?: true
}

/** What the simulation needs to know of a drill's icing and tip. */
export interface Outlet {
  icing: IcingFlow
  mouth: Mouth
  answer: Answer
  /** Height of what lies over its width, where a slot lays something wider than its icing would; else the icing's own. */
  heightShare: number
  /** Section of a rope that goes as it should, mm²: the opening's, unless a recipe lays more or less. */
  section: number
}

/** Slower than this, mm/s, icing gathers on the spot instead of being drawn out. */
const GATHERS_MM_PER_S = 5
/** A bit of rope is as long as this share of the opening, and no shorter than so many mm. */
const BIT_SHARE = 0.1
const LEAST_BIT_MM = 0.3
/** A rope's width follows its icing over this share of the opening. */
const SMOOTH_SHARE = 0.35
/** A rope that is drawn too thin necks over so many openings before it breaks, and mends over one. */
const NECKS_OVER = 1.2
/** After a break it touches again when it hangs so far: a share of the opening, or the height of the tip. */
const HANGS_SHARE = 0.5
/** A tip is lifted so many times as fast as it pipes, and no faster than so many mm/s; a tail is drawn while this share of the breaking flow still comes. */
const LIFT_TIMES = 2.2
const LIFT_MOST_MM_PER_S = 60
const DRAWN_SHARE = 0.4
/** A tail falls over and lies so long at most, mm. */
const TAIL_MOST_MM = 7
const TAIL_MORE = 0.6
const TAIL_MORE_FROM = 1.2
/** A tip held high trails what it lays by this share of the height beyond one opening. */
const TRAILS_SHARE = 0.8
/** Domes nearer than this share of the opening are one. */
const SAME_DOME = 0.25

/** Base radius in mm of a dome of icing: a cap as high as the icing's own share of its width. */
export const domeRadius = (volumeMm3: number, heightShare: number): number =>
  ((3 * volumeMm3) / (Math.PI * heightShare * (3 + 4 * heightShare ** 2))) ** (1 / 3)

/** Lays icing as a hand moves; `laid` grows by each step, and only its last bit may still change. */
export interface Deposit {
  readonly laid: Laid[]
  touch(at: Point, seconds: number): void
  /** One step with the tip down. @param height of the tip, mm. */
  step(at: Point, squeeze: number, height: number, seconds: number, dt: number): void
  lift(): void
  /** One step after lifting: what the bag still gives draws a tail. */
  after(squeeze: number, seconds: number, dt: number): void
}

/**
 * Icing laid by a tip: what leaves the opening is put down by the way the hand goes, never by its speed, which a screen
 * cannot give. Too little necks and breaks, too much heaps, a slow hand gathers a dome, a late one draws a tail.
 */
export function newDeposit({ icing, mouth, answer, heightShare, section }: Outlet): Deposit {
  const laid: Laid[] = []
  const d = mouth.acrossMm
  const bit = Math.max(LEAST_BIT_MM, BIT_SHARE * d)
  const lifts = Math.min(LIFT_MOST_MM_PER_S, (LIFT_TIMES * answer.flowAt(USUAL_SQUEEZE)) / section)
  const follow = 1 - Math.exp(-bit / (SMOOTH_SHARE * d))
  let stroke = -1
  let pressure = 0
  /** Where icing meets the sheet, and where the last bit ended. */
  let [x, y, lastX, lastY] = [0, 0, 0, 0]
  let heading = 0
  let [pending, pendingS] = [0, 0]
  let smooth = 0
  let necked = 0
  let broken = false
  let hanging = 0
  let tail = 0
  let tailBit: Laid | null = null

  const dome = (volume: number, seconds: number) => {
    const last = laid.at(-1)
    if (
      last?.kind === 'dome' &&
      last.stroke === stroke &&
      Math.hypot(last.x - x, last.y - y) < SAME_DOME * d
    ) {
      last.volumeMm3 += volume
      last.widthMm = 2 * domeRadius(last.volumeMm3, heightShare)
      return
    }
    laid.push({
      ...{ kind: 'dome', stroke, seconds, x, y, heading, lengthMm: 0, gap: false, heaped: false },
      widthMm: 2 * domeRadius(volume, heightShare),
      volumeMm3: volume,
    })
  }

  const rope = (length: number, seconds: number) => {
    const density = pending / (length * section)
    necked =
      density < icing.breaksAt
        ? necked + ((1 - density / icing.breaksAt) * length) / (NECKS_OVER * d)
        : Math.max(0, necked - length / d)
    if (!broken && necked > 1) broken = true
    const area = pending / length
    smooth = smooth === 0 ? area : smooth + (area - smooth) * follow
    laid.push({
      ...{ kind: 'rope', stroke, seconds, x, y, heading, lengthMm: length },
      widthMm: broken ? 0 : Math.sqrt((4 * smooth) / (Math.PI * heightShare)),
      volumeMm3: broken ? 0 : pending,
      gap: broken,
      heaped: density > icing.heapsAt,
    })
  }

  return {
    laid,
    touch(at, _seconds) {
      stroke++
      ;[x, y, lastX, lastY] = [at.x, at.y, at.x, at.y]
      ;[pending, pendingS, smooth, necked, broken, hanging, tail] = [0, 0, 0, 0, false, 0, 0]
      tailBit = null
    },
    step(at, squeeze, height, seconds, dt) {
      pressure = lagged(pressure, squeeze, answer, dt)
      const volume = answer.flowAt(pressure) * dt
      const trails = height > d ? TRAILS_SHARE * (height - d) : 0
      const away = Math.hypot(at.x - x, at.y - y)
      if (away > trails) {
        // what hangs from a high tip follows it as a towed thing follows: straight at it, at the same distance
        x += (at.x - x) * (1 - trails / away)
        y += (at.y - y) * (1 - trails / away)
      }
      if (broken) {
        hanging += volume
        if (hanging > section * Math.max(HANGS_SHARE * d, height)) {
          ;[broken, necked] = [false, 0]
          dome(hanging, seconds)
          hanging = 0
          ;[pending, pendingS, lastX, lastY] = [0, 0, x, y]
        }
      } else pending += volume
      pendingS += dt
      const gone = Math.hypot(x - lastX, y - lastY)
      if (gone >= bit) {
        heading = Math.atan2(y - lastY, x - lastX)
        rope(gone, seconds)
        ;[pending, pendingS, lastX, lastY] = [0, 0, x, y]
      } else if (!broken && pending > 0 && pendingS > bit / GATHERS_MM_PER_S) {
        dome(pending, seconds)
        ;[pending, pendingS] = [0, 0]
        ;[necked, lastX, lastY] = [0, x, y]
      }
    },
    lift() {
      const last = laid.at(-1)
      if (pending > 0 && !broken) dome(pending, last?.seconds ?? 0)
      if (last?.kind === 'rope' && last.stroke === stroke) last.ends = true
      ;[pending, pendingS] = [0, 0]
    },
    after(squeeze, seconds, dt) {
      pressure = lagged(pressure, squeeze, answer, dt)
      const flow = answer.flowAt(pressure)
      if (flow <= DRAWN_SHARE * icing.breaksAt * lifts * section) return
      tail += lifts * dt
      const more = TAIL_MORE * d * (TAIL_MORE_FROM - icing.breaksAt) * Math.min(1, tail / d)
      const lengthMm = Math.min(TAIL_MOST_MM, tail + more)
      if (!tailBit) {
        tailBit = {
          ...{ kind: 'tail', stroke, seconds, x, y, heading, gap: false, heaped: false },
          ...{ lengthMm, widthMm: d / 2, volumeMm3: 0 },
        }
        laid.push(tailBit)
      }
      tailBit.lengthMm = lengthMm
      tailBit.volumeMm3 += flow * dt
    },
  }
}
