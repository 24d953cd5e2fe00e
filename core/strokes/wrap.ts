import { z } from 'zod'
import { onRing, stand } from './frames.ts'
import { flow, lipDeg, tiltDeg } from './params.ts'
import { lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('wrap'),
  turns: z.number().min(0.8).max(3),
  endRingMm: z.number().min(0.5).max(20).describe('Radius at the end of the turn'),
  fallMm: z.number().min(0).max(8).default(3),
  tiltStartDeg: tiltDeg,
  tiltEndDeg: tiltDeg,
  lipDeg,
  flow,
})

/** One turn or more around a cone, narrow end leaning inward: closes the heart of a rose. */
export const wrap: StrokeDefinition<typeof schema> = {
  label: 'wrap',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'stands',
  upright: true,
  cycles: (p) => p.turns,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + 2 * Math.PI * p.turns * t
      const tilt = radians(lerp(p.tiltStartDeg, p.tiltEndDeg, t))
      const fall = p.fallMm * Math.max(0, (t - 0.82) / 0.18)
      const [cos, sin] = onRing(out, lerp(at.ringMm, p.endRingMm, t), at.heightMm - fall, theta)
      stand(out, tilt, cos, sin)
      out.scale = 1
      out.curl = 0
      out.lip = radians(p.lipDeg)
    },
  }),
  speedMmPerS: 20,
  overheadSeconds: 1.6,
  words: {
    hold: 'Narrow end up and leaning in over the cone.',
    clock: 3,
    pressure: 'Steady, while the nail makes more than a full turn.',
    stop: 'Let the ribbon run down the cone, stop, pull away.',
    goesWrong: [
      'A hole stays in the heart: the narrow end did not lean in. Pipe a second wrap over it, leaning further.',
    ],
  },
}
