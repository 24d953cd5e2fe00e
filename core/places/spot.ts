import type { z } from 'zod'
import { GOLDEN_ANGLE } from '../geometry/golden.ts'
import { after, leanOf, type Seat, turned, turningOf } from '../geometry/seat.ts'

/** A place for one stroke, or for a whole small flower: its own axis, and the way it faces about it. */
export interface Spot {
  /** Radians, counter-clockwise from +x. */
  azimuth: number
  /** Null where its axis is the flower's. */
  seat: Seat | null
}

/** How many there are of something, and the ring around each of its places. */
export interface Ring {
  count: number
  ringMm: number
  heightMm: number
  startDeg: number
  /** Over how much of a turn they are spread; 360 all round. */
  spreadDeg: number
}

/** One way in which strokes, or whole small flowers, are set. */
export interface PlacesDefinition<S extends z.ZodObject = z.ZodObject> {
  /** What a decorator would say: "on a ring". */
  label: string
  schema: S
  /** Places in the order in which they are piped. */
  spots(params: z.infer<S>, ring: Ring): Spot[]
}

/** Azimuths, radians, that fill a turn, or a part of it, evenly however many there are. */
export function windingAzimuth(i: number, { startDeg, spreadDeg }: Ring): number {
  const share = ((i * GOLDEN_ANGLE) / (2 * Math.PI)) % 1
  const turn = spreadDeg >= 360 ? 360 * share : spreadDeg * (share - 0.5)
  return ((startDeg + turn) * Math.PI) / 180
}

/**
 * A spot inside another one: what is set round a small axis of its own, set with that axis where the outer spot is.
 * The seat of the result lies at the outer one's.
 */
export function within(outer: Spot, inner: Spot): Spot {
  if (!outer.seat && !inner.seat) return { azimuth: outer.azimuth + inner.azimuth, seat: null }
  const turn = turningOf(outer.seat ?? UPRIGHT, outer.azimuth)
  const from = inner.seat ?? UPRIGHT
  const [x, y, z] = turned(turn, from.xMm, from.yMm, from.zMm)
  const { azimuth, lean, towards } = leanOf(after(turningOf(from, inner.azimuth), turn))
  const at = outer.seat ?? UPRIGHT
  return { azimuth, seat: { xMm: at.xMm + x, yMm: at.yMm + y, zMm: at.zMm + z, lean, towards } }
}

const UPRIGHT: Seat = { xMm: 0, yMm: 0, zMm: 0, lean: 0, towards: 0 }

/** A place on a ring round a spot, as a spot of its own that faces outwards. */
export function onRingOf(spot: Spot, { ringMm, heightMm }: Pick<Ring, 'ringMm' | 'heightMm'>): Spot {
  return within(spot, { azimuth: 0, seat: { ...UPRIGHT, xMm: ringMm, zMm: heightMm } })
}
