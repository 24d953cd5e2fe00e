import { newSheetFrame } from '../geometry/sheet.ts'
import { newTubeFrame } from '../geometry/tube.ts'
import type { Floret } from '../model/flower.ts'
import { ownSpots, type Places } from '../places/index.ts'
import type { OnLayer } from '../places/onLayer.ts'
import { onRingOf, type Ring, type Spot, within } from '../places/spot.ts'
import { seeded, slip } from '../random.ts'
import { traceStroke } from '../strokes/quantities.ts'
import { openingSlot } from '../tips/index.ts'
import type { ResolvedLayer } from './layers.ts'

/**
 * Where the strokes of a layer are set, in the order in which they are piped: its own places, at every one of its florets.
 * @param layers all of the flower: a layer may be set on another.
 * @throws RangeError where it is set on a layer that is not among them.
 */
export function layerSpots({ layer, floret }: ResolvedLayer, layers: readonly ResolvedLayer[]): Spot[] {
  const own = spotsAt(layer.at, layer, layers)
  if (!floret) return own
  return floretSpots(floret, layers).flatMap((spot) => own.map((inner) => within(spot, inner)))
}

/** Where a floret stands, each turned and nodding a little as no other: the same for all its layers. */
function floretSpots(floret: Floret, layers: readonly ResolvedLayer[]): Spot[] {
  const random = seeded(FLORET_SEED)
  return spotsAt(floret.at, floret, layers).map((spot) => {
    const turn = radians(floret.looseDeg) * slip(random)
    const nod = { lean: radians(floret.nodsDeg) * random(), towards: 2 * Math.PI * random() }
    const seat = nod.lean > 0 ? { xMm: 0, yMm: 0, zMm: 0, ...nod } : null
    return within(onRingOf(spot, floret), { azimuth: turn, seat })
  })
}

/** Any number: florets are the same whenever they are worked out. */
const FLORET_SEED = 11

const radians = (deg: number) => (deg * Math.PI) / 180

function spotsAt(at: Places, ring: Ring, layers: readonly ResolvedLayer[]): Spot[] {
  if (at.kind !== 'layer') return ownSpots(at, ring)
  const there = ownSpots({ kind: 'ring' }, ring)
  return placesOfLayer(at, layers).flatMap((place) => there.map((spot) => within(place, spot)))
}

/** The places at another layer, without its florets: what is set there is in the same floret. */
function placesOfLayer({ layerId, at }: OnLayer, layers: readonly ResolvedLayer[]): Spot[] {
  const other = layers.find((l) => l.layer.id === layerId)
  if (!other) throw new RangeError(`Nothing can be set on the layer "${layerId}": it is not there.`)
  const spots = spotsAt(other.layer.at, other.layer, layers)
  if (at === 'starts') return spots.map((spot) => onRingOf(spot, other.layer))
  if (at === 'between') return between(spots, other)
  const end = endOf(other)
  return spots.map((spot) => within(spot, end))
}

/** Where a stroke ends, seen from its own axis, facing the way it ends in: the tip of a rope, the middle of a petal's rim. */
function endOf({ layer, tip }: ResolvedLayer): Spot {
  const at = { ringMm: layer.ringMm, heightMm: layer.heightMm, azimuth: 0 }
  const trace = traceStroke(layer.stroke, at, tip.opening)
  const upright = { lean: 0, towards: 0 }
  if (trace.primitive === 'sheet') {
    const f = newSheetFrame()
    trace.path(0.5, f)
    const reach = openingSlot(tip.opening)!.lengthMm * f.scale
    return {
      azimuth: Math.atan2(f.sy, f.sx),
      seat: { xMm: f.px + reach * f.sx, yMm: f.py + reach * f.sy, zMm: f.pz + reach * f.sz, ...upright },
    }
  }
  const [end, near] = [newTubeFrame(), newTubeFrame()]
  trace.path(1, end)
  trace.path(NEARLY_THERE, near)
  const [dx, dy] = [end.x - near.x, end.y - near.y]
  return {
    azimuth: Math.hypot(dx, dy) > 1e-6 ? Math.atan2(dy, dx) : 0,
    seat: { xMm: end.x, yMm: end.y, zMm: end.z, ...upright },
  }
}

/** The way in which a rope ends is read off its last part. */
const NEARLY_THERE = 0.97

/** Between each stroke and the next: on the same ring where they stand round one axis, else halfway. */
function between(spots: readonly Spot[], { layer }: ResolvedLayer): Spot[] {
  const round = layer.at.kind === 'ring' && layer.spreadDeg >= 360
  if (spots.length === 1) return [...spots]
  return spots.slice(0, round ? undefined : -1).map((one, i) => {
    const next = spots[(i + 1) % spots.length]!
    const gap = turnTo(one.azimuth, next.azimuth)
    if (!one.seat || !next.seat) return { azimuth: one.azimuth + gap / 2, seat: one.seat }
    const half = (a: number, b: number) => (a + b) / 2
    return {
      azimuth: one.azimuth + gap / 2,
      seat: {
        ...one.seat,
        xMm: half(one.seat.xMm, next.seat.xMm),
        yMm: half(one.seat.yMm, next.seat.yMm),
        zMm: half(one.seat.zMm, next.seat.zMm),
      },
    }
  })
}

/** The turn from one azimuth to another, counter-clockwise and no more than half a turn either way. */
function turnTo(from: number, to: number): number {
  const turn = (to - from) / (2 * Math.PI)
  return 2 * Math.PI * (turn - Math.round(turn))
}
