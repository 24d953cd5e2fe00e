import { z } from 'zod'
import { onRing, stand } from './frames.ts'
import { fill, flow, lipDeg, tiltDeg } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('funnel'),
  turns: z.number().min(0.9).max(1.2).default(1.02),
  tiltFootDeg: tiltDeg,
  tiltRimDeg: tiltDeg.describe('The flare'),
  lobes: z.number().int().min(0).max(9).default(6),
  lobeDepth: z.number().min(0).max(0.6).default(0.3),
  lipDeg,
  fill,
  flow,
})

/** How round the points of a funnel are: less than one leaves the notches narrow. */
const POINT_FULLNESS = 0.7

/** A wide slot pivoted once while the base turns, rolled over into a lip, with a point at each lobe. */
export const funnel: StrokeDefinition<typeof schema> = {
  label: 'one-piece funnel',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'stands',
  meets: { at: 'wideEnd', share: 0.5, upTo: 0.4 },
  walls: true,
  foots: true,
  upright: true,
  cycles: (p) => p.turns + p.lobes,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + 2 * Math.PI * p.turns * t
      const tilt = radians(p.tiltFootDeg)
      const [c, s] = onRing(out, at.ringMm, at.heightMm, theta)
      const lobe =
        p.lobes === 0 ? 1 : Math.abs(Math.cos((p.lobes * (theta - at.azimuth)) / 2)) ** POINT_FULLNESS
      stand(out, tilt, c, s)
      out.scale = p.fill * (1 - p.lobeDepth * (1 - lobe))
      out.curl = radians(p.tiltRimDeg - p.tiltFootDeg)
      out.lip = radians(p.lipDeg) * lobe
    },
  }),
  speedMmPerS: 14,
  overheadSeconds: 2.4,
  words: {
    hold: 'Wide end down at the middle, slot upright.',
    clock: 3,
    pressure: 'Squeeze and ease once for every lobe while the nail turns.',
    stop: 'Close over the start, stop, slide down.',
    goesWrong: ['Splits at the seam: begun too thin. Overlap the start by a finger’s width.'],
  },
}
