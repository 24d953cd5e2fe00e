import { cross, slotSquareTo } from './bag.ts'
import { LIFT_MM, lifted, type Show, type ShownStroke } from './show.ts'
import { type Phase, phaseAt, placeAt, smooth, squeezeAt } from './timing.ts'
import { along, dot, mixed, spun, unit, type Vec } from './vec.ts'

/** Everything there is to see at one moment of a show, over the table, for a right hand; lengths in mm, angles in radians. */
export interface Pose {
  /** Place of the stroke in the show, and seconds into it. */
  stroke: number
  second: number
  phase: Phase
  /** Share of the stroke's icing that lies. */
  laid: number
  /** Middle of the opening; which way the back of the bag points; which way the slot does, square to that. */
  tip: Vec
  axis: Vec
  slot: Vec
  /** Turn of the nail, and how far it has turned under this stroke. */
  nail: number
  turned: number
  /** 0 to 1. */
  squeeze: number
  /** 0 a bag that is plainly seen, 1 one that is faded, because it is in icing that was there before. */
  faded: number
}

/** A tip so deep in finished icing begins to fade, mm, and is faded: before it would be 1.5 mm inside. */
const FADES_FROM_MM = 0.35
const FADED_AT_MM = 1

/** What there is to see at a second of a show; before it begins and after it ends, as it does. */
export function poseAt(show: Show, second: number): Pose {
  const s = strokeAt(show, second)
  const stroke = show.strokes[s]!
  const within = Math.min(stroke.timing.seconds, Math.max(0, second - stroke.begins))
  const phase = phaseAt(stroke.timing, within)
  const squeeze = squeezeAt(stroke.timing, stroke.moments, show.flows[stroke.layer]!, within)
  return {
    stroke: s,
    second: within,
    phase,
    squeeze,
    ...(phase === 'next' ? onTheWay(show, s, within) : atStroke(stroke, within)),
  }
}

/** The stroke that is piped, or gone to, at a second of the show. */
export function strokeAt({ strokes }: Show, second: number): number {
  const found = strokes.findLastIndex((stroke) => stroke.begins <= second)
  return Math.max(0, found)
}

type Seen = Omit<Pose, 'stroke' | 'second' | 'phase' | 'squeeze'>

function atStroke({ timing, moments, axes, nail, depth }: ShownStroke, second: number): Seen {
  const { begins } = timing
  const [i, share] = placeAt(timing.at, second)
  const next = Math.min(moments.length - 1, i + 1)
  const turn = nail[i]! + (nail[next]! - nail[i]!) * share
  const axis = unit(mixed(axes[i]!, axes[next]!, share))
  const tip = mixed(moments[i]!.tip, moments[next]!.tip, share)
  const up =
    second < begins.swell
      ? 1 - smooth((second - begins.touch) / (begins.swell - begins.touch))
      : smooth((second - begins.away) / (timing.seconds - begins.away))
  const slot = slotAt(moments[i]!.slot, moments[next]!.slot, share)
  const laid = (moments[i]!.t * (1 - share) + moments[next]!.t * share) * (second > begins.swell ? 1 : 0)
  return {
    laid,
    tip: spun(along(tip, axis, LIFT_MM * up), turn),
    axis: spun(axis, turn),
    slot: slotSquareTo(spun(axis, turn), slot && spun(slot, turn)),
    nail: turn,
    turned: turn - nail[0]!,
    faded: smooth((Math.max(depth[i]!, depth[next]!) - FADES_FROM_MM) / (FADED_AT_MM - FADES_FROM_MM)),
  }
}

function slotAt(a: Vec | null, b: Vec | null, share: number): Vec | null {
  return a && b ? mixed(a, b, share) : a
}

/** Faded as far on its way from one stroke to the next: what it passes over then is not looked at. */
const FADED_ON_THE_WAY = 0.7

/** From where the stroke before was left to above where this one begins. */
function onTheWay(show: Show, s: number, second: number): Seen {
  const [from, to] = [show.strokes[s - 1]!, show.strokes[s]!]
  const whole = smooth(second / Math.max(1e-6, to.timing.begins.touch))
  const [a, b] = [lifted(from, true), lifted(to, false)]
  const axis = unit(mixed(a.axis, b.axis, whole))
  const rim = Math.sin(Math.PI * whole)
  const ends = [endDepth(from, true), endDepth(to, false)] as const
  return {
    laid: 0,
    tip: mixed(a.tip, b.tip, whole),
    axis,
    slot: slotSquareTo(axis, turnedBetween(a.slot, b.slot, axis, whole)),
    nail: a.nail + (b.nail - a.nail) * whole,
    turned: 0,
    faded: Math.max(FADED_ON_THE_WAY * rim, ends[0] * (1 - whole), ends[1] * whole),
  }
}

/** How far a bag is faded where a stroke begins or ends. */
function endDepth({ depth }: ShownStroke, end: boolean): number {
  const deep = end ? depth.at(-1)! : depth[0]!
  return smooth((deep - FADES_FROM_MM) / (FADED_AT_MM - FADES_FROM_MM))
}

/** From one direction to another about an axis, by a share of the way. */
function turnedBetween(a: Vec, b: Vec, axis: Vec, share: number): Vec {
  const [from, to] = [slotSquareTo(axis, a), slotSquareTo(axis, b)]
  const side = cross(axis, from)
  const angle = Math.atan2(dot(side, to), dot(from, to)) * share
  return along(along([0, 0, 0], from, Math.cos(angle)), side, Math.sin(angle))
}
