import type { SheetFrame } from '../geometry/sheet.ts'
import { type Placement, radians } from './stroke.ts'

/** Puts the wide end on a ring, at an azimuth; returns that azimuth's cosine and sine. */
export function onRing(
  out: SheetFrame,
  ringMm: number,
  heightMm: number,
  azimuth: number,
): [cos: number, sin: number] {
  const cos = Math.cos(azimuth)
  const sin = Math.sin(azimuth)
  out.px = cos * ringMm
  out.py = sin * ringMm
  out.pz = heightMm
  return [cos, sin]
}

/**
 * Stands the slot up at an azimuth (given by its cosine and sine), leaning out by `tilt` radians; it bends outwards.
 */
export function stand(out: SheetFrame, tilt: number, cos: number, sin: number): void {
  out.sx = Math.sin(tilt) * cos
  out.sy = Math.sin(tilt) * sin
  out.sz = Math.cos(tilt)
  out.bx = Math.cos(tilt) * cos
  out.by = Math.cos(tilt) * sin
  out.bz = -Math.sin(tilt)
}

/** Lays the slot along an azimuth, its free end lifted by `lift` radians; it bends upwards. */
export function lie(out: SheetFrame, lift: number, cos: number, sin: number): void {
  out.sx = Math.cos(lift) * cos
  out.sy = Math.cos(lift) * sin
  out.sz = Math.sin(lift)
  out.bx = -Math.sin(lift) * cos
  out.by = -Math.sin(lift) * sin
  out.bz = Math.cos(lift)
}

/**
 * Where a line of a given length is after t of it, when it starts at the placement's ring along its azimuth and
 * bends evenly through `turnDeg`; `swing` is how far aside of itself it stands, mm.
 */
export function bentLine(
  at: Placement,
  lengthMm: number,
  turnDeg: number,
  t: number,
  swing = 0,
): [x: number, y: number] {
  const bend = radians(turnDeg)
  const heading = bend * t
  // a circular arc of the line's own length
  const along = bend === 0 ? lengthMm * t : (lengthMm / bend) * Math.sin(heading)
  const aside = bend === 0 ? 0 : (lengthMm / bend) * (1 - Math.cos(heading))
  const x = at.ringMm + along - Math.sin(heading) * swing
  const y = aside + Math.cos(heading) * swing
  const cos = Math.cos(at.azimuth)
  const sin = Math.sin(at.azimuth)
  return [cos * x - sin * y, sin * x + cos * y]
}

/** The middle of a rope that lies is so much of the opening over what it lies on: it sinks a little of its half. */
export const ROPE_MIDDLE = 0.45
