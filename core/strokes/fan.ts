import { z } from 'zod'
import { lie } from './frames.ts'
import { curlDeg, flow, lipDeg, ripple, spanDeg, tiltDeg } from './params.ts'
import { bump, lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('fan'),
  spanDeg,
  outMm: z.number().min(0).max(30).describe('How far out the wide end travels'),
  sideMm: z.number().min(0).max(8).default(1.2).describe('Gap between the way out and the way back'),
  tiltStartDeg: tiltDeg,
  tiltEndDeg: tiltDeg.describe('The end rides over the next petal'),
  point: z.number().min(0).max(1).default(0).describe('0 rounded, 1 pointed'),
  endScale: z.number().min(0.3).max(1).default(0.69),
  curlDeg,
  lipDeg,
  flow,
  ripple,
})

/** How round a petal's push is where it is round, how pointed where it is a point, and how soon its pressure is full. */
const ROUNDNESS = 0.9
const POINTEDNESS = 1.15
const PRESSURE_FULLNESS = 0.6

/** Lying petal: wide end at the centre, free end out and slightly lifted; out, turn, back. */
export const fan: StrokeDefinition<typeof schema> = {
  label: 'lying petal',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'lying',
  rests: 'lies',
  meets: { at: 'wideEnd', share: 0.95, upTo: 0.5 },
  petal: 'lying',
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const round = bump(t, ROUNDNESS)
      const sharp = 1 - Math.abs(2 * t - 1) ** POINTEDNESS
      const reach = at.ringMm + p.outMm * lerp(round, sharp, p.point)
      const side = p.sideMm * (t - 0.5)
      const theta = at.azimuth + radians(p.spanDeg) * (t - 0.5)
      const tilt = radians(lerp(p.tiltStartDeg, p.tiltEndDeg, t))
      const axisX = Math.cos(at.azimuth)
      const axisY = Math.sin(at.azimuth)
      out.px = axisX * reach - axisY * side
      out.py = axisY * reach + axisX * side
      out.pz = at.heightMm
      lie(out, tilt, Math.cos(theta), Math.sin(theta))
      out.scale = lerp(p.endScale, 1, bump(t, PRESSURE_FULLNESS))
      out.curl = radians(p.curlDeg)
      out.lip = radians(p.lipDeg)
    },
  }),
  speedMmPerS: 18,
  overheadSeconds: 1.3,
  words: {
    hold: 'Wide end at the centre, narrow end out and a little lifted, bag low.',
    clock: 3,
    pressure: 'Squeeze out, turn over the rim, ease off on the way back.',
    stop: 'Stop at the centre before lifting.',
    goesWrong: [
      'Wrinkles: the hand was slower than the icing. Brush the hump back; less pressure next time.',
      'A hole in the middle: petals began too far out. Hide it with the stamens.',
    ],
  },
}
