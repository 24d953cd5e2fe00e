import type { Random } from '../random.ts'
import type { Chart } from '../surfaces/chart.ts'
import { Body, type Kind } from './body.ts'
import { rimMm } from './cover.ts'
import type { Ground } from './ground.ts'
import { tangents } from './relax.ts'

/** Ways round a flower that are looked at for a leaf. */
const WAYS = 16
/** Its root lies so far under the rim of its host, in the host's radius. */
const ROOT = 0.62
/** A leaf may reach beyond the ground by this share of its length, never beyond the piece. */
const REACH = 0.5
/** Each further leaf on one flower costs so many mm of bare coat. */
const SHARED = 1.6
const OUT = 2
/** A mm of a leaf over words or a photograph costs more than any bare coat that it would cover. */
const HIDES = 25
/** A leaf that bridges the gap to the next cupcake is worth so many mm of coat. */
const BRIDGE = 12
const CHANCE = 0.2
/** Its tip may stand off the surface by so much, mm. */
const STANDS_OFF_MM = 2

/** A place where a leaf could be tucked in: under which flower, what it would lie over, and what speaks against it. */
interface Tuck {
  host: Body
  leaf: Body
  /** Two points along it, and how far each is from everything that is there, mm. */
  at: { x: number; y: number; z: number; clear: number }[]
  against: number
}

/**
 * Leaves tucked under the rims of flowers, one after the other, each pointing outward over the barest coat there is left.
 * @returns the leaves; none where there is no flower to tuck them under.
 */
export function tuckLeaves(
  chart: Chart,
  ground: Ground,
  standing: readonly Body[],
  kinds: readonly { kind: Kind; of: number }[],
  random: Random,
): Body[] {
  if (standing.length === 0) return []
  const placed: Body[] = []
  const onHost = new Map<Body, number>()
  const begin = random() * 2 * Math.PI
  const places = new Map<number, Tuck[]>()
  // the longest first: they need the room most
  for (const { kind, of } of [...kinds].sort((p, q) => q.kind.longMm - p.kind.longMm)) {
    let tucks = places.get(of)
    if (!tucks) {
      tucks = standing.flatMap((host) =>
        Array.from({ length: WAYS }, (_, w) =>
          tuckAt(chart, ground, host, tucked(chart, host, kind, of, begin + (w * 2 * Math.PI) / WAYS)),
        ),
      )
      let first = 0
      for (const host of standing) {
        // only what is near enough to be lain over
        const near = [...standing, ...placed].filter(
          (other) =>
            Math.hypot(other.x - host.x, other.y - host.y, other.z - host.z) <
            reachOf(host, kind) + other.span,
        )
        for (const tuck of tucks.slice(first, first + WAYS)) for (const other of near) lessen(tuck, other)
        first += WAYS
      }
      places.set(of, tucks)
    }
    const gain = ({ at, against, host }: Tuck) =>
      at[0]!.clear + at[1]!.clear - against - SHARED * (onHost.get(host) ?? 0)
    let best = tucks[0]!
    let most = Number.NEGATIVE_INFINITY
    for (const tuck of tucks) {
      const now = gain(tuck) + CHANCE * random()
      if (now <= most) continue
      most = now
      best = tuck
    }
    const leaf = new Body(kind, of, -1, best.leaf.spot)
    leaf.at(best.leaf.spot, best.leaf)
    leaf.turn = best.leaf.turn
    leaf.host = best.host
    onHost.set(best.host, (onHost.get(best.host) ?? 0) + 1)
    placed.push(leaf)
    for (const all of places.values())
      for (const tuck of all) {
        const { host } = tuck
        const [dx, dy, dz] = [leaf.x - host.x, leaf.y - host.y, leaf.z - host.z]
        const near = reachOf(host, tuck.leaf.kind) + leaf.span
        if (dx * dx + dy * dy + dz * dz < near * near) lessen(tuck, leaf)
      }
  }
  return placed
}

/** How far from its host's middle a leaf lies over anything, mm. */
const reachOf = (host: Body, kind: Kind) => ROOT * host.kind.r + kind.longMm + kind.wideMm

/** Points of a leaf that are asked what they lie over, from its middle in its length. */
const ASKED = [0.15, 0.45]

function tuckAt(chart: Chart, ground: Ground, host: Body, leaf: Body): Tuck {
  const { px, py, pz } = leaf.points
  const along = (mm: number) => ({ x: leaf.x + mm * px, y: leaf.y + mm * py, z: leaf.z + mm * pz })
  const { longMm, wideMm } = leaf.kind
  const end = along(longMm / 2)
  const tip = chart.nearest(end.x, end.y, end.z)
  const on = chart.point(tip)
  const beyond = -ground.area.insideMm(on, tip) - REACH * longMm
  const off = Math.hypot(end.x - on.x, end.y - on.y, end.z - on.z)
  // half of its width and its tip stay off words and photographs
  const over = Math.max(0, wideMm / 2 - ground.clear(end), wideMm / 2 - ground.clear(leaf))
  const bridging = chart.isBetween(end.x, end.y)
  return {
    host,
    leaf,
    at: ASKED.map((share) => ({ ...along(share * longMm), clear: wideMm })),
    against:
      HIDES * over +
      (bridging
        ? -BRIDGE
        : OUT * (Math.max(0, beyond) + Math.max(0, -chart.insideMm(tip)) + Math.max(0, off - STANDS_OFF_MM))),
  }
}

/** Takes note of something that lies near where a leaf would. */
function lessen(tuck: Tuck, other: Body): void {
  if (other === tuck.host) return
  for (const p of tuck.at) {
    const [dx, dy, dz] = [other.x - p.x, other.y - p.y, other.z - p.z]
    const near = other.span + p.clear
    if (dx * dx + dy * dy + dz * dz < near * near) p.clear = Math.min(p.clear, rimMm(other, p))
  }
}

/** A leaf under the rim of its host, pointing away from it. */
export function tucked(chart: Chart, host: Body, kind: Kind, of: number, way: number): Body {
  const { tx, ty, tz, sx, sy, sz } = tangents(host)
  const [c, s] = [Math.cos(way), Math.sin(way)]
  const out = ROOT * host.kind.r + kind.longMm / 2
  const leaf = new Body(kind, of, -1, host.spot)
  leaf.put(
    chart,
    chart.nearest(
      host.x + out * (c * tx + s * sx),
      host.y + out * (c * ty + s * sy),
      host.z + out * (c * tz + s * sz),
    ),
  )
  pointAwayFrom(leaf, host)
  return leaf
}

/** Turns a thing so that it points away from another. */
export function pointAwayFrom(leaf: Body, host: { x: number; y: number; z: number }): void {
  const [dx, dy, dz] = [leaf.x - host.x, leaf.y - host.y, leaf.z - host.z]
  const { nx, ny, nz, ox, oy, oz } = leaf
  const along = dx * ox + dy * oy + dz * oz
  const across = dx * (ny * oz - nz * oy) + dy * (nz * ox - nx * oz) + dz * (nx * oy - ny * ox)
  leaf.turn = Math.atan2(across, along)
}
