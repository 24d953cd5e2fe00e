import { type Random, seeded } from '../random.ts'
import type { Chart } from '../surfaces/chart.ts'
import type { Body } from './body.ts'
import type { Ground } from './ground.ts'
import type { Count } from './lay.ts'

/** One of several things that stand side by side, with what is to go on it. */
export interface PartWork {
  chart: Chart
  ground: Ground
  counts: Count[]
  pinned: Body[]
}

/** A part with less ground than this share of the fullest is passed over by its school. */
const LEAST_GROUND = 0.2
/** From this share of the part's own half width on a flower is alone in its middle. */
const ALONE_FROM = 0.55
/** From this share on it leaves no room for anything beside it. */
const FILLS_FROM = 0.78
/** Round things fill no more than this of a round place. */
const FULL = 0.82
/** In loads of a whole part: what the same flower on a neighbour costs, what it gains beside its own kind where there is room, chance. */
const KIN_NEXT = 0.3
const OWN_KIND = 0.25
const OVERFULL = 4
const CHANCE = 0.08
/** Parts whose middles are within so many of their widths are neighbours. */
const NEXT = 1.3

/**
 * The flowers of a piece shared out to its parts, as a hand does it: one large one to a cupcake, far from its own kind; those
 * of a middle size together, three to a cupcake; small ones wherever there is room. The same seed shares out alike.
 */
export function shareOut(
  chart: Chart,
  ground: Ground,
  counts: readonly Count[],
  pinned: readonly Body[],
  seed: number,
): PartWork[] {
  const random = seeded(seed)
  const works = chart.parts.map((_, i) => workOf(chart.alone(i), ground, counts, pinned))
  const most = Math.max(...works.map((w) => w.ground.mm2))
  const open = works.filter((w) => w.ground.mm2 >= LEAST_GROUND * most)
  const loads = new Map(open.map((w) => [w, w.pinned.reduce((sum, b) => sum + loadOf(w, b.kind.r), 0)]))
  const flowers = counts
    .flatMap(({ kind, count }, of) => (kind.lies ? [] : Array.from({ length: count }, () => ({ kind, of }))))
    .sort((p, q) => q.kind.r - p.kind.r)
  for (const { kind, of } of flowers) {
    const into = cheapest(open, loads, of, kind.r, random)
    if (!into) break
    into.counts[of]!.count += 1
    loads.set(into, loads.get(into)! + loadOf(into, kind.r))
  }
  return open
}

function workOf(chart: Chart, ground: Ground, counts: readonly Count[], pinned: readonly Body[]): PartWork {
  const tier = chart.bands[0]!.tier
  const here = (spot: Body['spot']) => chart.zoneOf(spot).tier === tier
  const samples = ground.samples.filter((s) => here(s.spot))
  const starts = ground.area.starts.filter(here)
  return {
    chart,
    ground: {
      area: { ...ground.area, starts, held: Math.min(starts.length, ground.area.held) },
      ...{ clear: ground.clear, samples, gaps: [], mm2: samples.reduce((sum, s) => sum + s.mm2, 0) },
    },
    counts: counts.map(({ kind }) => ({ kind, count: 0 })),
    pinned: pinned.filter((b) => here(b.spot)),
  }
}

/** Half the width that a part's ground has. */
const halfOf = ({ ground }: PartWork) => Math.sqrt(ground.mm2 / Math.PI)

/** How much of a part a flower takes up. */
const loadOf = (work: PartWork, r: number) =>
  r >= FILLS_FROM * halfOf(work) ? 1 : (r / halfOf(work)) ** 2 / FULL

function cheapest(
  works: readonly PartWork[],
  loads: ReadonlyMap<PartWork, number>,
  of: number,
  r: number,
  random: Random,
): PartWork | undefined {
  let best: PartWork | undefined
  let least = Number.POSITIVE_INFINITY
  for (const work of works) {
    const load = loads.get(work)!
    const after = load + loadOf(work, r)
    const alone = r >= ALONE_FROM * halfOf(work)
    const middle = middleOf(work)
    const next = works.filter(
      (other) => other !== work && other.counts[of]!.count > 0 && near(middleOf(other), middle, work),
    )
    const own = !alone && work.counts[of]!.count > 0 && after <= 1 ? OWN_KIND : 0
    const cost =
      load +
      OVERFULL * Math.max(0, after - 1) +
      (alone ? KIN_NEXT * next.length : 0) -
      own +
      CHANCE * random()
    if (cost < least) {
      least = cost
      best = work
    }
  }
  return best
}

const middleOf = ({ chart }: PartWork) => chart.parts[0]!

const near = (p: { x: number; y: number }, q: { x: number; y: number }, work: PartWork) =>
  Math.hypot(p.x - q.x, p.y - q.y) < NEXT * 2 * halfOf(work)

/** A large flower that is alone on its part stands in the middle; beside small ones it makes room for them. */
export function withMiddle(work: PartWork): PartWork {
  const [one, ...others] = work.counts.flatMap(({ kind, count }) => Array.from({ length: count }, () => kind))
  const { area } = work.ground
  const alone = one && others.length === 0 && one.r >= ALONE_FROM * halfOf(work)
  if (area.starts.length > 0 || work.pinned.length > 0 || !alone) return work
  const { x, y } = middleOf(work)
  return { ...work, ground: { ...work.ground, area: { ...area, starts: [work.chart.under(x, y)], held: 1 } } }
}
