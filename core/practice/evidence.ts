import { type Compared, compared, TAIL_MM, volumeLog } from './compared.ts'
import type { Drill } from './drill.ts'
import type { HandFault } from './faults.ts'
import type { Ideal } from './ideal.ts'
import { mean, median, spread } from './numbers.ts'
import type { StrokeRead } from './read.ts'

/** A fault and how far it stands out: 1 is as much as the threshold, and what is named must be well over it. */
export interface Evidence {
  fault: HandFault
  strength: number
  /** How much, in the fault's own measure: a ratio, seconds, a share or mm. */
  by: number
}

/** How far each thing may be off before it is anything: natural logarithms, s, shares. */
const PACE = 0.22
const THINNER = 0.2
const SQUEEZE = 0.3
const SQUEEZE_SHOWS = 0.2
/** Flow follows the squeeze by about this power. */
const FLOW_POWER = 2.2
const NAIL = 0.15
const RELEASE_S = 0.13
const MORE_AT_END = 0.25
const HOLD = 0.3
const MISSING_MM = 1.5
const UNEVEN = 0.2
/** A squeeze that is very uneven is no steady wrong one: from here on that counts half. */
const UNEVEN_HALVES = 1.2
const SIZES = 0.18
const WAVERS = 0.14
const BETWEEN = 0.12
const ORDER = 0.15
const HIGH = 0.42

/** Compares what was read of a try with what is read of the drill's ideal, and says what stands out, most first. */
export function evidenceOf(ideal: Ideal, reads: readonly StrokeRead[]): Evidence[] {
  const { drill } = ideal
  const pairs = compared(ideal, reads)
  if (pairs.length === 0) return []
  const about = aboutOf(drill, pairs)
  const uneven = unevenOf(drill, about, pairs)
  const release = releaseOf(drill, about, pairs)
  // on the spot a squeeze that is cut short never comes to its height
  const cutShort = drill.looks === 'spots' && release.some((e) => e.fault === 'early' && e.strength > 1)
  const found: Evidence[] = [
    ...paceOf(drill, about),
    ...release,
    ...squeezeOf(about).map((e) =>
      uneven.strength > UNEVEN_HALVES || (cutShort && e.fault === 'little')
        ? { ...e, strength: e.strength / 2 }
        : e,
    ),
    { fault: 'uneven', ...uneven },
    { fault: 'order', ...by(disordered(drill, reads), ORDER) },
    { fault: 'high', ...by(median(pairs.map(({ r, of }) => Math.log(r.height / of.height))), HIGH) },
  ]
  const nail = pairs.flatMap(({ r, of }) => (r.nail === null ? [] : r.nail - (of.nail ?? 0)))
  if (nail.length > 0) found.push({ fault: 'nail', ...by(median(nail), NAIL) })
  return found.filter((e) => e.strength > 0).sort((a, b) => b.strength - a.strength)
}

const by = (value: number, threshold: number) => ({ strength: value / threshold, by: value })

/** What a whole try is against the ideal, in natural logarithms. */
interface About {
  pace: number
  /** Half the volume's and half that of the rope's section in the middle of its bits. */
  thicker: number
  volume: number
  squeeze: number
  /** Whether there is one long thing or many of a kind. */
  many: boolean
}

function aboutOf(drill: Drill, pairs: readonly Compared[]): About {
  const sumOf = (pick: (r: StrokeRead) => number, of: 'r' | 'of') =>
    pairs.reduce((total, pair) => total + pick(pair[of]), 0)
  const log = (pick: (r: StrokeRead) => number) => Math.log(sumOf(pick, 'r') / sumOf(pick, 'of') || 1e-3)
  const volume = pairs.length > 2 ? median(pairs.map(volumeLog)) : log((r) => r.volume)
  const bins = pairs.flatMap(({ r, of }) => binLogs(r, of))
  return {
    pace: -log((r) => r.seconds),
    volume,
    thicker: bins.length > 3 && drill.looks !== 'spots' ? 0.5 * (volume + median(bins)) : volume,
    squeeze: Math.log(
      mean(pairs.map(({ r }) => r.squeeze || 1e-3)) / mean(pairs.map(({ of }) => of.squeeze)),
    ),
    many: pairs.length > 2,
  }
}

/** Bits of an ideal with less than this share of its usual icing are its ends, and say nothing. */
const SOME = 0.35
const LEAST_LOG = -2

/** Icing of each bit against the ideal's, in natural logarithms. */
export function binLogs(r: StrokeRead, of: StrokeRead): number[] {
  const usual = median(of.bins)
  return r.bins.flatMap((area, i) => {
    const want = of.bins[i]!
    return want < SOME * usual ? [] : [Math.max(LEAST_LOG, Math.log((area || 1e-6) / want))]
  })
}

function paceOf(drill: Drill, { pace, thicker }: About): Evidence[] {
  if (drill.looks === 'spots') return []
  const [fast, slow] = [thicker < -THINNER, thicker > THINNER]
  if (pace > 0) return fast ? [{ fault: 'fast', ...by(pace, PACE) }] : []
  return slow ? [{ fault: 'slow', ...by(-pace, PACE) }] : []
}

function squeezeOf({ squeeze, thicker }: About): Evidence[] {
  const strong = FLOW_POWER * squeeze
  if (strong > 0) return thicker > SQUEEZE_SHOWS ? [{ fault: 'much', ...by(strong, SQUEEZE) }] : []
  return thicker < -SQUEEZE_SHOWS ? [{ fault: 'little', ...by(-strong, SQUEEZE) }] : []
}

function releaseOf(drill: Drill, about: About, pairs: readonly Compared[]): Evidence[] {
  if (drill.looks === 'spots') {
    const hold = median(pairs.map(({ r, of }) => Math.log((r.hold || 1e-3) / of.hold)))
    if (hold > 0) return about.volume > MORE_AT_END ? [{ fault: 'late', ...by(hold, HOLD) }] : []
    return about.volume < -MORE_AT_END ? [{ fault: 'early', ...by(-hold, HOLD) }] : []
  }
  // who goes at another pace lets go at another time: that is no fault of its own
  const paced = Math.exp(Math.max(-0.7, Math.min(0.7, about.pace)))
  const later = median(pairs.map(({ r, of }) => scaled(r.release, paced, drill) - of.release))
  if (later > 0) {
    const shows =
      median(pairs.map(({ r, of }) => r.tail - of.tail)) > TAIL_MM ||
      median(pairs.map(({ r, of }) => atEnd(r, of))) > MORE_AT_END
    return shows ? [{ fault: 'late', ...by(later, RELEASE_S) }] : []
  }
  const shows =
    median(pairs.map(({ r, of }) => of.endOff - r.endOff)) > MISSING_MM ||
    median(pairs.map(({ r, of }) => atEnd(r, of))) < -MORE_AT_END
  return shows ? [{ fault: 'early', ...by(-later, RELEASE_S) }] : []
}

/** The release of what is pulled belongs to its way; that of a rope to its end. */
const scaled = (release: number, paced: number, drill: Drill): number =>
  drill.looks === 'row' && release < 0 ? release * paced : release

/** Icing over the last quarter of a way against the ideal's, in natural logarithms. */
function atEnd(r: StrokeRead, of: StrokeRead): number {
  const last = (bins: readonly number[]) =>
    mean(bins.slice(-Math.max(1, Math.round(bins.length / 4), Math.min(bins.length, 3))))
  return Math.log((last(r.bins) || 1e-3) / (last(of.bins) || 1e-3))
}

/** Unevenness counts when the squeeze wavers as well, and only what happens before letting go. */
function unevenOf(drill: Drill, about: About, pairs: readonly Compared[]) {
  const within = median(pairs.map(({ r, of }) => Math.max(0, r.wavers - of.wavers)))
  const between = about.many
    ? spread(pairs.map(({ r, of }) => Math.log((r.squeeze || 1e-3) / of.squeeze)))
    : 0
  const sizes = spread(pairs.map(volumeLog))
  const along = median(pairs.map(({ r, of }) => spread(binLogs(r, of).slice(0, -3))))
  const shows = Math.max(
    (drill.looks === 'rope' ? 1 : 0.7) * (along / UNEVEN),
    about.many ? sizes / SIZES : 0,
  )
  const squeezes = Math.max(within / WAVERS, about.many ? between / BETWEEN : 0)
  return { strength: squeezes > 1 ? Math.min(shows, squeezes) : 0, by: about.many ? sizes : along }
}

/** Share of steps from one stroke to the next that do not go to its neighbour; a ring may begin anywhere, and go either way. */
export function disordered(drill: Drill, reads: readonly StrokeRead[]): number {
  const count = drill.strokes.length
  if (count < 3 || reads.length < 3) return 0
  const order = [...reads].sort((a, b) => a.attempts[0]! - b.attempts[0]!).map((r) => r.ideal)
  const steps = order.slice(1).map((k, i) => (k - order[i]! + count) % count)
  const wrong = (right: number) => steps.filter((step) => step !== right && step !== 0).length / steps.length
  return Math.min(wrong(1), drill.closes ? wrong(count - 1) : 1)
}
