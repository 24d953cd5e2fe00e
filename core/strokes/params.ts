import { z } from 'zod'

/** Parameters that several strokes share, with the ranges a hand can do. Lengths in mm, angles in degrees. */
export const flow = z.number().min(0.4).max(2.5).default(1).describe('Pressure: icing speed over hand speed')
export const spanDeg = z.number().min(5).max(360).describe('Sweep around the flower')
export const tiltDeg = z.number().min(-60).max(120)
export const curlDeg = z.number().min(-120).max(120).default(0).describe('Even bend of the petal outwards')
export const lipDeg = z.number().min(-120).max(120).default(0).describe('Roll of the free edge outwards')
/** A frill along the free edge: wave length, height and how far down from the edge it reaches (higher = edge only). */
export const ripple = z
  .object({
    lengthMm: z.number().min(1).max(30),
    ampMm: z.number().min(0).max(5),
    power: z.number().min(1).max(5),
  })
  .nullable()
  .default(null)
/** Low pressure leaves the narrow end of a slot empty: so a petal is piped that is smaller than its slot. */
export const fill = z.number().min(0.6).max(1).default(1).describe('Share of the slot that carries icing')
