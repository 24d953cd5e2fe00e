import { type Random, seeded } from '../random.ts'
import type { Chart } from '../surfaces/chart.ts'
import { Body, type Kind, overlapMm, type Rank, ranksOf } from './body.ts'
import type { Ground, GroundSample } from './ground.ts'
import { relax, spread } from './relax.ts'
import { troubleMm } from './trouble.ts'

/** So many places are looked at for each flower; fewer where there are many flowers, none of which matters much. */
const PLACES = 400
const LEAST_PLACES = 200
const MANY = 60
/** What counts for and against a place: mm that flowers stand into each other, mm out of the ground, mm of bare coat left beside a neighbour, a size that is not wanted here, chance. */
const LACK = 4
const OUT = 3
const CLEAR = 0.25
const MISFIT = 0.9
const CHANCE = 0.5
/** The largest stand apart rather than close, so much. */
const APART = 0.6
/** Of so many best places the one furthest from its own kind is taken. */
const BEST = 6
const KIN = 0.5
const RELAXED = 14
const SPREAD_ROUNDS = 4

/** How many of a kind. */
export interface Count {
  kind: Kind
  count: number
}

/**
 * A first layout: large ones first, each where it stands clear, fits what the ground wants and is not beside its own kind; then
 * all give way to each other and spread. Leaves are not placed here. The same seed gives the same layout.
 * @param pinned flowers that stay where they are; the counts are besides these.
 */
export function layOut(
  chart: Chart,
  ground: Ground,
  counts: readonly Count[],
  pinned: readonly Body[],
  seed: number,
  grading: number,
): Body[] {
  const random = seeded(seed)
  const ranks = ranksOf(counts.map((c) => c.kind))
  const wanted = counts
    .flatMap(({ kind, count }, of) =>
      ranks[of]! < 0 ? [] : Array.from({ length: count }, () => ({ kind, of, rank: ranks[of]! })),
    )
    .sort((p, q) => q.kind.r - p.kind.r)
  const largest = Math.max(1, ...wanted.map((w) => w.kind.r), ...pinned.map((b) => b.kind.r))
  const bodies: Body[] = [...pinned]
  const starts = [...ground.area.starts]
  for (const { kind, of, rank } of wanted) {
    const body = new Body(kind, of, rank, { face: 0, a: 0, b: 0 })
    body.turn = random() * 2 * Math.PI
    const start = starts.shift()
    if (start) {
      body.put(chart, start)
      body.held = bodies.length - pinned.length < ground.area.held
    } else if (!seek(chart, ground, bodies, body, { random, largest, grading, flowers: wanted.length })) break
    bodies.push(body)
  }
  relax(chart, ground.area, bodies, RELAXED)
  if (ground.area.gapMm === 0) spread(chart, ground, bodies, SPREAD_ROUNDS)
  return bodies
}

interface Taste {
  random: Random
  largest: number
  grading: number
  /** How many are to be placed. */
  flowers: number
}

/** Puts a flower where it does best. @returns false where there is no ground at all. */
function seek(chart: Chart, ground: Ground, bodies: readonly Body[], body: Body, taste: Taste): boolean {
  const { samples, area } = ground
  if (samples.length === 0) return false
  const places = Math.max(LEAST_PLACES, Math.min(PLACES, (PLACES * MANY) / Math.max(1, taste.flowers)))
  const stride = Math.max(1, Math.floor(samples.length / places))
  const begin = Math.floor(taste.random() * stride)
  const best: { score: number; sample: GroundSample }[] = []
  for (let i = begin; i < samples.length; i += stride) {
    const sample = samples[i]!
    body.at(sample.spot, sample)
    const score = scoreOf(chart, area, bodies, body, sample, taste)
    if (best.length === BEST && score <= best[BEST - 1]!.score) continue
    best.push({ score, sample })
    best.sort((p, q) => q.score - p.score)
    if (best.length > BEST) best.pop()
  }
  const chosen = best
    .map(({ score, sample }) => ({ score: score - KIN * kinship(bodies, body, sample), sample }))
    .reduce((p, q) => (q.score > p.score ? q : p))
  body.at(chosen.sample.spot, chosen.sample)
  return true
}

function scoreOf(
  chart: Chart,
  area: Ground['area'],
  bodies: readonly Body[],
  body: Body,
  sample: GroundSample,
  { random, largest, grading }: Taste,
): number {
  const { r } = body.kind
  let lack = 0
  let clear = Number.POSITIVE_INFINITY
  for (const other of bodies) {
    if (other.rank < 0) continue
    const far = 5 * r + other.kind.r + other.kind.h
    const dx = other.x - body.x
    const dy = other.y - body.y
    const dz = other.z - body.z
    if (dx * dx + dy * dy + dz * dz > far * far) continue
    const into = overlapMm(body, other) + area.gapMm
    if (into > 0) lack += into
    else if (-into < clear) clear = -into
  }
  if (clear === Number.POSITIVE_INFINITY) clear = bodies.length > 0 ? 4 * r : 0
  const closeness = body.rank === (2 as Rank) ? -APART : 1
  const misfit = MISFIT * grading * largest * Math.abs(sample.want - r / largest)
  const out = troubleMm(chart, area, body, sample.inside)
  return (
    -LACK * lack - OUT * out - CLEAR * closeness * Math.min(clear, 4 * r) - misfit + CHANCE * r * random()
  )
}

/** How near its own kind a flower would stand, mm of closeness within its neighbourhood. */
function kinship(bodies: readonly Body[], body: Body, at: GroundSample): number {
  let sum = 0
  for (const other of bodies) {
    if (other.kind.flowerId !== body.kind.flowerId) continue
    const apart = Math.hypot(other.x - at.x, other.y - at.y, other.z - at.z)
    sum += Math.max(0, 1.6 * (other.kind.r + body.kind.r) - apart)
  }
  return sum
}
