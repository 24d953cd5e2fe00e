import { z } from 'zod'
import { flow } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('curvedSpike'),
  lengthMm: z.number().min(1).max(40),
  curlDeg: z.number().min(-160).max(160).default(60).describe('Flick towards the centre'),
  leanDeg: z.number().min(-30).max(90).default(60).describe('Lean away from the centre where it starts'),
  taper: z.number().min(0.1).max(2).default(0.5),
  flow,
})

/** Squeeze, pull along the neighbours, flick to the centre. */
export const curvedSpike: StrokeDefinition<typeof schema> = {
  label: 'curved spike',
  schema,
  families: ['round', 'cutBag', 'star', 'multiHole'],
  freeOpening: false,
  texture: 'spiked',
  rests: 'rises',
  trace: (p, at) => {
    const c = Math.cos(at.azimuth)
    const s = Math.sin(at.azimuth)
    const lean = radians(p.leanDeg)
    const curl = radians(p.curlDeg)
    return {
      primitive: 'tube',
      flow: p.flow,
      path(t, out) {
        // a circular arc in the upright plane through the axis
        const turned = lean - curl * t
        const k = Math.abs(curl) < 1e-6
        const along = k ? Math.sin(lean) * t : (Math.cos(turned) - Math.cos(lean)) / curl
        const up = k ? Math.cos(lean) * t : (Math.sin(lean) - Math.sin(turned)) / curl
        out.x = c * (at.ringMm + p.lengthMm * along)
        out.y = s * (at.ringMm + p.lengthMm * along)
        out.z = at.heightMm + p.lengthMm * up
        out.scale = (1 - t) ** p.taper
        out.twist = 0
      },
    }
  },
  speedMmPerS: 22,
  overheadSeconds: 0.7,
  words: {
    hold: 'Bag low, pointing along the petal.',
    clock: 6,
    pressure: 'Squeeze for a foot, ease off along the curve.',
    stop: 'Stop before the end and flick inwards.',
    goesWrong: ['All of one length: nature is uneven; leave it.'],
  },
}
