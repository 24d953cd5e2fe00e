import type { Layout, Site, SiteRole } from '../model/layout.ts'
import { seeded } from '../random.ts'
import type { Chart } from '../surfaces/chart.ts'
import { Body, type Kind, type Rank, ranksOf } from './body.ts'
import { countsFor } from './counts.ts'
import { type Ground, groundOf, keptFree } from './ground.ts'
import { improve } from './improve.ts'
import { type Count, layOut } from './lay.ts'
import { tuckLeaves } from './leaves.ts'
import { type PartWork, shareOut, withMiddle } from './parts.ts'
import { schoolOf } from './schools/index.ts'
import { settle } from './settle.ts'

/** So many moves are tried for each flower when a layout is improved, and no more in all. */
const MOVES_EACH = 300
const MOST_MOVES = 30_000

/** What a layout is made from. */
export interface Wanted {
  chart: Chart
  kinds: readonly Kind[]
  /** By placed flower: how many stand on the piece; made anew where the layout says how full. */
  numbers: ReadonlyMap<string, number>
  layout: Layout
  newId: () => string
}

const DEGREES = 180 / Math.PI
const tiny = 8

/** The ground that a layout's school gives it on a piece. */
export function groundFor(chart: Chart, kinds: readonly Kind[], layout: Layout): Ground {
  const flowers = kinds.filter((k) => !k.lies)
  const radii = flowers.map((k) => k.r)
  const area = schoolOf(layout.schoolId).area({
    chart,
    turn: layout.turnDeg / DEGREES,
    largestMm: Math.max(tiny, ...radii),
    path: layout.path.map((place) => chart.read(place)),
  })
  return groundOf(chart, area, keptFree(layout), radii.length > 0 ? Math.min(...radii) : tiny)
}

/** The flowers of a layout where they stand; sites of flowers that are not known are passed over. */
export function bodiesOf(chart: Chart, kinds: readonly Kind[], sites: readonly Site[]): Body[] {
  const ranks = ranksOf(kinds)
  const index = new Map(kinds.map((k, i) => [k.placedId, i]))
  const bodies = sites.flatMap((site) => {
    const of = index.get(site.placedId)
    if (of === undefined) return []
    const body = new Body(kinds[of]!, of, ranks[of]!, { face: 0, a: 0, b: 0 })
    body.put(chart, chart.read(site.place))
    body.turn = site.turnDeg / DEGREES
    body.pinned = site.pinned
    body.siteId = site.id
    return [body]
  })
  const byId = new Map(bodies.map((b) => [b.siteId, b]))
  for (const site of sites) {
    const body = byId.get(site.id)
    if (body && site.hostId) body.host = byId.get(site.hostId) ?? null
  }
  return bodies
}

/**
 * A layout's flowers placed anew by its school and seed: what is pinned stays, the rest is laid out at once. Deterministic.
 * @param improved whether to try for better, which takes longer.
 * @returns the layout with its new sites.
 */
export function placed(wanted: Wanted, improved: boolean): Layout {
  const { chart, kinds, layout, newId } = wanted
  const ground = groundFor(chart, kinds, layout)
  // what grows along a line stays with it, as what is pinned does
  const lines = new Set(layout.lines.map((line) => line.id))
  const pinned = bodiesOf(
    chart,
    kinds,
    layout.sites.filter((s) => s.pinned || (s.groupId !== null && lines.has(s.groupId))),
  )
  for (const body of pinned) body.pinned = true
  const counts = besides(countsWanted(wanted, ground), pinned)
  const free = layout.fullness !== null
  const works =
    chart.parts.length > 1
      ? shareOut(chart, ground, counts, pinned, layout.seed).map(withMiddle)
      : [{ chart, ground, counts, pinned }]
  const laid = works.flatMap((work, i) => laidOn(work, layout, layout.seed + i * NEXT_SEED, improved))
  // what is pinned where the school has no ground stays all the same
  const stays = pinned.filter((b) => !laid.includes(b))
  const standing = settle(chart, ground, [...laid, ...stays], () => free)
  const leaves = tuckLeaves(
    chart,
    ground,
    standing.filter((b) => b.rank >= 0),
    counts.flatMap(({ kind, count }, of) =>
      kind.lies ? Array.from({ length: count }, () => ({ kind, of })) : [],
    ),
    seeded(layout.seed + 7),
  )
  const old = new Map(layout.sites.map((s) => [s.id, s]))
  const all = [...standing, ...leaves]
  for (const body of all) body.siteId ??= newId()
  return { ...layout, sites: all.map((body) => siteOf(chart, body, old.get(body.siteId!))) }
}

/** Each part of a piece is laid out by a chance of its own. */
const NEXT_SEED = 101

function laidOn(
  { chart, ground, counts, pinned }: PartWork,
  { grading }: Layout,
  seed: number,
  improved: boolean,
) {
  const laid = layOut(chart, ground, counts, pinned, seed, grading)
  if (improved) improve(chart, ground, laid, seed, grading, Math.min(MOST_MOVES, MOVES_EACH * laid.length))
  return laid
}

function countsWanted({ kinds, numbers, layout }: Wanted, ground: Ground): Count[] {
  const now = kinds.map((kind) => ({ kind, count: numbers.get(kind.placedId) ?? 0 }))
  return layout.fullness === null ? now : countsFor(ground, now, layout.fullness)
}

function besides(counts: readonly Count[], pinned: readonly Body[]): Count[] {
  return counts.map(({ kind, count }, of) => ({
    kind,
    count: Math.max(0, count - pinned.filter((b) => b.of === of).length),
  }))
}

const roles: Record<Rank, SiteRole> = { 2: 'focal', 1: 'second', 0: 'filler', [-1]: 'leaf' }

/** A flower as the layout stores it; what of an old site is not about its place stays. */
export function siteOf(chart: Chart, body: Body, old: Site | undefined): Site {
  const { zone, tier, from, a, b } = chart.store(body.spot)
  return {
    id: body.siteId!,
    placedId: body.kind.placedId,
    place: { zone, tier, from, a: round(a), b: round(b) },
    turnDeg: round(wholeTurn(body.turn * DEGREES)),
    leanDeg: old?.leanDeg ?? 0,
    pinned: old?.pinned ?? false,
    role: old?.role ?? roles[body.rank],
    hostId: body.host?.siteId ?? null,
    groupId: old?.groupId ?? null,
  }
}

/** Stored to so many parts of a mm, or of the way round: less than anybody sees, whatever the engine made of it. */
const STORED = 1e5
const round = (value: number) => Math.round(value * STORED) / STORED

const wholeTurn = (deg: number) => deg - 360 * Math.round(deg / 360)
