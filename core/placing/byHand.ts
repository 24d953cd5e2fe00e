import type { Layout, Site } from '../model/layout.ts'
import { type Chart, type Spot, upright } from '../surfaces/chart.ts'
import { type Area, wholeArea } from './area.ts'
import type { Body, Kind } from './body.ts'
import { bareSpots } from './cover.ts'
import { clearOf, type Ground, keptFree } from './ground.ts'
import { pointAwayFrom } from './leaves.ts'
import { bodiesOf, siteOf } from './place.ts'
import { relax } from './relax.ts'

/** What every change by hand is made on. */
export interface Hand {
  chart: Chart
  kinds: readonly Kind[]
  layout: Layout
}

/** Neighbours within so far give way while something is moved, mm, in so many rounds. */
const NEAR_MM = 80
const ROUNDS = 8
const DEGREES = 180 / Math.PI

/** All of a piece but what is kept free: a hand may leave its school. */
function freeArea({ chart, layout }: Hand): Area {
  const clear = clearOf(chart, keptFree(layout))
  return wholeArea(chart, (_, at) => clear(at), { overhang: 0.45, balanced: false })
}

const apart = (a: Body, b: Body) => Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z)

/** A layout with what has moved in it stored anew; what has not keeps its place to the last digit. */
function stored({ chart, layout }: Hand, bodies: readonly Body[], moved: ReadonlySet<Body>): Layout {
  const byId = new Map(bodies.map((b) => [b.siteId, b]))
  return {
    ...layout,
    sites: layout.sites.map((site) => {
      const body = byId.get(site.id)
      return body && moved.has(body) ? siteOf(chart, body, site) : site
    }),
  }
}

/** The sites that move when these are taken hold of: all of a group, and leaves with the flower they are tucked under. */
export function takenWith(layout: Layout, ids: ReadonlySet<string>): Set<string> {
  const groups = new Set(layout.sites.filter((s) => ids.has(s.id) && s.groupId).map((s) => s.groupId))
  const held = new Set(
    layout.sites.filter((s) => ids.has(s.id) || (s.groupId && groups.has(s.groupId))).map((s) => s.id),
  )
  for (const s of layout.sites) if (s.hostId && held.has(s.hostId)) held.add(s.id)
  return held
}

/**
 * Things moved along the surface by a way through space, as one: each lands on the surface nearest to where it would be. What is
 * in their way gives way; they themselves stand where they were put. Begin every frame of a drag from where the drag began.
 * @param by mm; what is pinned moves too, since it was taken hold of.
 */
export function moveBy(
  hand: Hand,
  ids: ReadonlySet<string>,
  by: { x: number; y: number; z: number },
): Layout {
  const { chart, kinds, layout } = hand
  const bodies = bodiesOf(chart, kinds, layout.sites)
  const taken = takenWith(layout, ids)
  const held = new Set(bodies.filter((b) => taken.has(b.siteId!)))
  for (const body of held) body.push(chart, by.x, by.y, by.z)
  const moved = giveWay(hand, bodies, held)
  const next = stored(hand, bodies, moved)
  // a stem goes with what grows along it
  const groups = new Set(layout.sites.flatMap((s) => (taken.has(s.id) && s.groupId ? [s.groupId] : [])))
  const lines = layout.lines.map((line) =>
    groups.has(line.id)
      ? {
          ...line,
          path: line.path.map((place) => {
            const { x, y, z } = chart.point(chart.read(place))
            return chart.store(chart.nearest(x + by.x, y + by.y, z + by.z))
          }),
        }
      : line,
  )
  return { ...next, lines }
}

/** Lets whatever is near something give way to it, and leaves follow. @returns all that has moved. */
function giveWay(hand: Hand, bodies: readonly Body[], held: ReadonlySet<Body>): Set<Body> {
  const { chart } = hand
  const near = bodies.filter((b) => held.has(b) || [...held].some((h) => apart(b, h) < NEAR_MM))
  const before = new Map(near.map((b) => [b, { x: b.x, y: b.y, z: b.z }]))
  relax(chart, freeArea(hand), near, ROUNDS, (b) => held.has(b))
  const moved = new Set(held)
  for (const [body, from] of before)
    if (body.x !== from.x || body.y !== from.y || body.z !== from.z) moved.add(body)
  for (const leaf of bodies) {
    const host = leaf.host
    const from = host && before.get(host)
    if (!host || !from || held.has(leaf) || !moved.has(host)) continue
    leaf.push(chart, host.x - from.x, host.y - from.y, host.z - from.z)
    moved.add(leaf)
  }
  for (const leaf of moved) if (leaf.host && !held.has(leaf.host)) pointAwayFrom(leaf, leaf.host)
  return moved
}

/** Things moved so that the first of them stands on a spot. */
export function moveTo(hand: Hand, ids: ReadonlySet<string>, leader: string, spot: Spot): Layout {
  const site = hand.layout.sites.find((s) => s.id === leader)
  if (!site) return hand.layout
  const from = hand.chart.point(hand.chart.read(site.place))
  const to = hand.chart.point(spot)
  return moveBy(hand, ids, { x: to.x - from.x, y: to.y - from.y, z: to.z - from.z })
}

/** A step along the surface by the keys: to the right and down as it is looked at from outside, mm. */
export function nudge(hand: Hand, ids: ReadonlySet<string>, right: number, down: number): Layout {
  const first = hand.layout.sites.find((s) => ids.has(s.id))
  if (!first) return hand.layout
  const { chart } = hand
  const { rx, ry, rz, dx, dy, dz } = upright(chart.point(chart.read(first.place)))
  return moveBy(hand, ids, {
    x: right * rx + down * dx,
    y: right * ry + down * dy,
    z: right * rz + down * dz,
  })
}

const mapSites = (layout: Layout, ids: ReadonlySet<string>, change: (site: Site) => Site): Layout => ({
  ...layout,
  sites: layout.sites.map((s) => (ids.has(s.id) ? change(s) : s)),
})

const wholeTurn = (deg: number) => deg - 360 * Math.round(deg / 360)

export const turnBy = (layout: Layout, ids: ReadonlySet<string>, deg: number): Layout =>
  mapSites(layout, ids, (s) => ({ ...s, turnDeg: wholeTurn(s.turnDeg + deg) }))

export const change = (
  layout: Layout,
  ids: ReadonlySet<string>,
  part: Partial<Pick<Site, 'turnDeg' | 'leanDeg' | 'pinned' | 'placedId' | 'role' | 'groupId'>>,
): Layout => mapSites(layout, ids, (s) => ({ ...s, ...part }))

/** Without some of its flowers; leaves that were tucked under them stay, under nothing. */
export function rubOut(layout: Layout, ids: ReadonlySet<string>): Layout {
  return {
    ...layout,
    sites: layout.sites
      .filter((s) => !ids.has(s.id))
      .map((s) => (s.hostId && ids.has(s.hostId) ? { ...s, hostId: null } : s)),
  }
}

/** One more flower on a spot; its neighbours give way. @param towards where a leaf points. @returns the layout and the new site's id. */
export function putOn(
  hand: Hand,
  placedId: string,
  spot: Spot,
  newId: () => string,
  towards?: { x: number; y: number },
): { layout: Layout; id: string } {
  const { chart, kinds, layout } = hand
  const kind = kinds.find((k) => k.placedId === placedId)
  const id = newId()
  const site: Site = {
    ...{ id, placedId, turnDeg: 0, leanDeg: 0, pinned: false, hostId: null, groupId: null },
    role: kind?.lies ? 'leaf' : 'filler',
    place: chart.store(spot),
  }
  const next = { ...hand, layout: { ...layout, sites: [...layout.sites, site] } }
  const bodies = bodiesOf(chart, kinds, next.layout.sites)
  const added = bodies.find((b) => b.siteId === id)
  if (!added) return { layout, id }
  const host = bodies
    .filter((b) => b.rank >= 0 && b !== added)
    .sort((p, q) => apart(p, added) - p.kind.r - apart(q, added) + q.kind.r)[0]
  if (kind?.lies && host) {
    added.host = host
    // pointing at something is pointing away from where it is mirrored
    pointAwayFrom(added, towards ? { ...beyond(added, towards), z: added.z } : host)
    return { layout: stored(next, bodies, new Set([added])), id }
  }
  return { layout: stored(next, bodies, giveWay(next, bodies, new Set([added]))), id }
}

const beyond = (at: Body, { x, y }: { x: number; y: number }) => ({ x: 2 * at.x - x, y: 2 * at.y - y })

/** Copies beside their originals. @returns the layout and the copies' ids. */
export function duplicate(
  hand: Hand,
  ids: ReadonlySet<string>,
  newId: () => string,
): { layout: Layout; ids: Set<string> } {
  const { chart, kinds, layout } = hand
  const originals = layout.sites.filter((s) => ids.has(s.id))
  const copyOf = new Map(originals.map((s) => [s.id, newId()]))
  const groups = new Map<string, string>()
  const copies = originals.map((s): Site => {
    if (s.groupId && !groups.has(s.groupId)) groups.set(s.groupId, newId())
    return {
      ...s,
      id: copyOf.get(s.id)!,
      pinned: false,
      hostId: s.hostId && (copyOf.get(s.hostId) ?? s.hostId),
      groupId: s.groupId && groups.get(s.groupId)!,
    }
  })
  const made = new Set(copyOf.values())
  const widest = Math.max(...originals.map((s) => kinds.find((k) => k.placedId === s.placedId)?.r ?? 5))
  const next = { chart, kinds, layout: { ...layout, sites: [...layout.sites, ...copies] } }
  return { layout: nudge(next, made, widest, widest), ids: made }
}

/** Things on the other side: left and right change places as it is looked at from the front. */
export function mirror(hand: Hand, ids: ReadonlySet<string>): Layout {
  const { chart, layout } = hand
  return mapSites(layout, ids, (s) => {
    const p = chart.point(chart.read(s.place))
    return { ...s, place: chart.store(chart.nearest(-p.x, p.y, p.z)), turnDeg: wholeTurn(-s.turnDeg) }
  })
}

/**
 * All of it turned about the middle of the piece, against the clock: what is pinned, words, lines and what is kept free too. A
 * seam stays: it belongs to the cake, not to what lies on it.
 */
export function turnWhole(hand: Hand, deg: number): Layout {
  const { chart, layout } = hand
  const [c, s] = [Math.cos(deg / DEGREES), Math.sin(deg / DEGREES)]
  const there = (place: Site['place']) => {
    const p = chart.point(chart.read(place))
    return chart.store(chart.nearest(c * p.x - s * p.y, s * p.x + c * p.y, p.z))
  }
  // what is read from the front turns with a top; on a side it stays upright
  const upright = <T extends { place: Site['place']; turnDeg: number }>(thing: T): T => ({
    ...thing,
    place: there(thing.place),
    turnDeg: thing.place.zone === 'top' ? wholeTurn(thing.turnDeg + deg) : thing.turnDeg,
  })
  return {
    ...layout,
    turnDeg: wholeTurn(layout.turnDeg + deg),
    sites: layout.sites.map((site) => ({ ...site, place: there(site.place) })),
    words: layout.words.map(upright),
    keepOuts: layout.keepOuts.map(upright),
    lines: layout.lines.map((line) => ({ ...line, path: line.path.map(there) })),
    path: layout.path.map(there),
  }
}

/** Two flowers change places. */
export function exchange(layout: Layout, [one, other]: readonly [string, string]): Layout {
  const [a, b] = [layout.sites.find((s) => s.id === one), layout.sites.find((s) => s.id === other)]
  if (!a || !b) return layout
  return {
    ...layout,
    sites: layout.sites.map((s) => {
      if (s.id === one) return { ...s, place: b.place }
      return s.id === other ? { ...s, place: a.place } : s
    }),
  }
}

/** Lets some flowers find a place: they come back onto the piece and off what is kept free, their neighbours give way. */
export function findRoom(hand: Hand, ids: ReadonlySet<string>): Layout {
  const { chart, kinds, layout } = hand
  const bodies = bodiesOf(chart, kinds, layout.sites)
  const before = bodies.map((b) => b.spot)
  relax(
    chart,
    freeArea(hand),
    bodies,
    ROUNDS * 8,
    (b) => !ids.has(b.siteId!) && bodies.every((o) => !ids.has(o.siteId!) || apart(b, o) > NEAR_MM),
  )
  const moved = new Set(bodies.filter((b, i) => b.spot !== before[i]))
  for (const leaf of bodies) if (leaf.host && moved.has(leaf.host)) pointAwayFrom(leaf, leaf.host)
  return stored(hand, bodies, moved)
}

/** So many of one flower and no other number: more go into the barest places, the last ones that are not pinned come off. */
export function setNumber(
  hand: Hand,
  ground: Ground,
  placedId: string,
  wanted: number,
  newId: () => string,
): Layout {
  let { layout } = hand
  const have = () => layout.sites.filter((s) => s.placedId === placedId)
  const loose = have().filter((s) => !s.pinned)
  const off = loose.slice(Math.max(0, loose.length - Math.max(0, have().length - wanted)))
  if (off.length > 0) return rubOut(layout, new Set(off.map((s) => s.id)))
  while (have().length < wanted) {
    const now = { ...hand, layout }
    const spot = barest(now, ground)
    if (!spot) break
    layout = putOn(now, placedId, spot, newId).layout
  }
  return layout
}

function barest({ chart, kinds, layout }: Hand, ground: Ground): Spot | undefined {
  const bare = bareSpots(ground, bodiesOf(chart, kinds, layout.sites), 0, 1)[0]
  // where nothing is bare any more, in the middle of the ground
  return bare?.spot ?? ground.samples[Math.floor(ground.samples.length / 2)]?.spot
}
