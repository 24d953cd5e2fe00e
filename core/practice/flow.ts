import type { IcingFlow } from '../model/practice.ts'
import { outlineArea } from '../tips/family.ts'
import { type Opening, openingOutlines } from '../tips/index.ts'

/** What icing meets on its way out: the hydraulic radius of the opening, its area, and how many round ones of that radius it is. */
export interface Mouth {
  radiusMm: number
  areaMm2: number
  channels: number
  /** Across a round opening of the same area, mm. */
  acrossMm: number
}

export function mouthOf(opening: Opening): Mouth {
  const outlines = openingOutlines(opening)
  const areaMm2 = outlines.reduce((sum, o) => sum + outlineArea(o), 0)
  const around = outlines.reduce(
    (sum, outline) =>
      sum +
      outline.reduce((length, [x, y], i) => {
        const [nextX, nextY] = outline[(i + 1) % outline.length]!
        return length + Math.hypot(nextX - x, nextY - y)
      }, 0),
    0,
  )
  const radiusMm = (2 * areaMm2) / around
  return {
    radiusMm,
    areaMm2,
    channels: areaMm2 / (Math.PI * radiusMm ** 2),
    acrossMm: Math.sqrt((4 * areaMm2) / Math.PI),
  }
}

/** The bag's end of a tip, mm, and no narrower than so many times its opening. */
const WIDE_MM = 8
const WIDE_TIMES = 1.5

/**
 * Pressure in Pa that drives a flow of mm³/s through a tip: a Herschel–Bulkley fluid in a cone that narrows by 0.2 to a
 * side (lubrication: the gradient in a round channel of every radius, summed along the cone; the fluid's yield costs
 * 13.46 τ ln(R/r) of it).
 */
export function pressureFor(icing: IcingFlow, mouth: Mouth, mm3PerS: number): number {
  const { radiusMm: r, channels } = mouth
  const wide = Math.max(WIDE_MM, WIDE_TIMES * r)
  const n = icing.index
  const yields = 13.46 * icing.yieldPa * Math.log(wide / r)
  if (mm3PerS <= 0) return yields
  const shear = (((3 * n + 1) / n) * mm3PerS) / (channels * Math.PI)
  return yields + (10 * icing.consistency * shear ** n * (r ** (-3 * n) - wide ** (-3 * n))) / (3 * n)
}

/** A hand gives way: at this flow, mm³/s, all of its squeeze goes into following the bag. */
const HAND_GIVES = 1500
/** The squeeze at which a drill's own flow comes. */
export const USUAL_SQUEEZE = 0.5
/** No hand gives more than this for long, mm³/s: what needs more is piped more slowly. */
export const MOST_FLOW = 700
/** Steps of the table from no squeeze to all of it. */
const STEPS = 100

/** How a bag answers the hand: flow of mm³/s at a squeeze of 0 to 1, and how slowly it stops, s. */
export interface Answer {
  flowAt(squeeze: number): number
  /** The bag goes on giving for about so long after the hand has let go, s. */
  fallS: number
}

/** With the gentle answer flow follows the squeeze by this power; with icing's own it is up to 2.7. */
const GENTLE_POWER = 1.5
/** The bag's own give: so many seconds at least, and so much per Pa·s/mm³ for a bag that is nearly empty and one that is full. */
const LEAST_FALL_S = 0.08
const FALL_PER = 3e-7
const GIVE_EMPTY = 6000
const GIVE_FULL = 24000

/**
 * The answer of a bag whose usual flow comes at half a squeeze: the hand's strength is scaled, not the flow, for near its
 * yield icing answers a squeeze with a far higher power and a scaled flow would leap.
 * @param usual the flow that half a squeeze gives, mm³/s, no more than `MOST_FLOW`.
 * @param full how full the bag is, 0 to 1.
 * @param gentle a screen gives no counter-force: for beginners flow follows the squeeze by a power of 1.5.
 */
export function answerOf(
  icing: IcingFlow,
  mouth: Mouth,
  usual: number,
  full: number,
  gentle: boolean,
): Answer {
  const strength = pressureFor(icing, mouth, usual) / (USUAL_SQUEEZE - usual / HAND_GIVES)
  const table = Float64Array.from({ length: STEPS + 1 }, (_, i) => {
    const squeeze = i / STEPS
    return gentle
      ? usual * (squeeze / USUAL_SQUEEZE) ** GENTLE_POWER
      : solved(icing, mouth, strength, squeeze)
  })
  const steep =
    (pressureFor(icing, mouth, usual * 1.02) - pressureFor(icing, mouth, usual * 0.98)) / (0.04 * usual)
  return {
    flowAt(squeeze) {
      const at = Math.min(1, Math.max(0, squeeze)) * STEPS
      const i = Math.min(STEPS - 1, Math.floor(at))
      return table[i]! + (table[i + 1]! - table[i]!) * (at - i)
    },
    fallS: LEAST_FALL_S + FALL_PER * (GIVE_EMPTY + GIVE_FULL * full) * steep,
  }
}

/** The flow at which what drives it and what resists it are equal, by halving. */
function solved(icing: IcingFlow, mouth: Mouth, strength: number, squeeze: number): number {
  if (strength * squeeze <= pressureFor(icing, mouth, 0)) return 0
  let [low, high] = [0, HAND_GIVES]
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (pressureFor(icing, mouth, middle) < strength * (squeeze - middle / HAND_GIVES)) low = middle
    else high = middle
  }
  return low
}

/** The icing comes within this of the hand's squeeze, s. */
const RISE_S = 0.04

/** The pressure in the bag one step later. @param dt seconds. */
export function lagged(now: number, squeeze: number, answer: Answer, dt: number): number {
  const slow = squeeze > now ? RISE_S : answer.fallS
  return now + (squeeze - now) * (1 - Math.exp(-dt / slow))
}
