import { z } from 'zod'
import { stand } from './frames.ts'
import { curlDeg, flow, lipDeg, ripple, spanDeg, tiltDeg } from './params.ts'
import { bump, lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('petalArc'),
  spanDeg,
  archMm: z.number().min(0).max(15).describe('How far the petal rises in its middle'),
  dropMm: z.number().min(0).max(10).describe('How far its ends dip'),
  tiltEndDeg: tiltDeg,
  tiltMidDeg: tiltDeg.describe('How far the free edge leans out'),
  overlapMm: z.number().min(0).max(6).default(2).describe('Start outside, end inside the neighbour'),
  endScale: z.number().min(0.3).max(1).default(0.62),
  curlDeg,
  lipDeg,
  flow,
  ripple,
})

/** How broad the top of the rise is, how soon the pressure is full, and how soon the rim rolls. */
const RISE_FULLNESS = 0.72
const PRESSURE_FULLNESS = 0.5
const ROLL_FULLNESS = 0.7
/** Both ends of the stroke over which pressure builds and falls, and how much there is at the very end. */
const ENDS = 0.1
const LEAST_PRESSURE = 0.4

/** Pressure builds and falls over the first and last tenth, so that the free edge rounds down to the base. */
const eased = (t: number): number => {
  const end = Math.min(t, 1 - t)
  return end < ENDS ? lerp(LEAST_PRESSURE, 1, Math.sqrt(end / ENDS)) : 1
}

/**
 * Standing petal: wide end on the base; up, over and down while the nail turns. Ruffled petals are the same
 * path with a ripple.
 */
export const petalArc: StrokeDefinition<typeof schema> = {
  label: 'standing petal',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'stands',
  petal: 'closing',
  upright: true,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + radians(p.spanDeg) * (t - 0.5)
      const rise = bump(t, RISE_FULLNESS)
      const tilt = radians(lerp(p.tiltEndDeg, p.tiltMidDeg, rise))
      const cos = Math.cos(theta)
      const sin = Math.sin(theta)
      const r = at.ringMm + p.overlapMm * (0.5 - t)
      out.px = cos * r
      out.py = sin * r
      // the wide end runs down the flower, never through the table it stands on
      out.pz = Math.max(Math.min(0.2, at.heightMm), at.heightMm + p.archMm * rise - p.dropMm * (1 - rise))
      stand(out, tilt, cos, sin)
      out.scale = lerp(p.endScale, 1, bump(t, PRESSURE_FULLNESS)) * eased(t)
      out.curl = radians(p.curlDeg)
      out.lip = radians(p.lipDeg) * rise ** ROLL_FULLNESS
    },
  }),
  speedMmPerS: 22,
  overheadSeconds: 1.4,
  words: {
    hold: 'Wide end down on the base, narrow end up, bag at 45°.',
    clock: 4,
    pressure: 'Even squeeze, up and over while the nail turns.',
    stop: 'Come down to the base, stop, then pull away sideways.',
    goesWrong: [
      'Torn, saw-toothed edge: icing too stiff, cold or full of air. Work the bag warm; slower.',
      'Sags: too soft or warm. Chill bag and flower; stiffer next time.',
    ],
  },
}
