import { z } from 'zod'
import { onRing, stand } from './frames.ts'
import { flow, lipDeg, ripple, tiltDeg } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('wall'),
  turns: z.number().min(0.9).max(1.3).default(1.06),
  tiltFootDeg: tiltDeg.describe('Lean of the wall where it stands'),
  tiltRimDeg: tiltDeg.describe('Lean at the rim: the flare'),
  lipDeg,
  flow,
  ripple,
})

/** Fluted wall, trumpet or one-piece funnel: the slot upright, one slow turn. */
export const wall: StrokeDefinition<typeof schema> = {
  label: 'fluted wall',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'stands',
  meets: { at: 'wideEnd', share: 0.5, upTo: 0.4 },
  walls: true,
  foots: true,
  upright: true,
  cycles: (p) => p.turns,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + 2 * Math.PI * p.turns * t
      const tilt = radians(p.tiltFootDeg)
      const [cos, sin] = onRing(out, at.ringMm, at.heightMm, theta)
      stand(out, tilt, cos, sin)
      out.scale = 1
      out.curl = radians(p.tiltRimDeg - p.tiltFootDeg)
      out.lip = radians(p.lipDeg)
    },
  }),
  speedMmPerS: 16,
  overheadSeconds: 2,
  words: {
    hold: 'Slot upright against the mound, wide end down.',
    clock: 3,
    pressure: 'Steady, with a gentle up and down, one slow turn of the nail.',
    stop: 'Overlap the start, stop, slide away along the wall.',
    goesWrong: ['Opens to one side: uneven turning. Look from above; turn the nail, not the bag.'],
  },
}
