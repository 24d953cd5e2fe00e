import { z } from 'zod'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('drop'),
  radiusMm: z.number().min(0.4).max(20),
  tallMm: z.number().min(0.4).max(40),
})

/** A drop is widest so far up; what hangs over it narrows by so much towards its point, later rather than sooner. */
const BELLY = 0.22
const NARROWS = 0.55
const LATE = 1.5

/** Round foot and a soft point, as a meringue has. */
export const drop: StrokeDefinition<typeof schema> = {
  label: 'drop',
  schema,
  families: ['round', 'cutBag', 'star'],
  freeOpening: true,
  texture: 'dotted',
  rests: 'sits',
  foots: true,
  trace: (p, at, opening) => {
    const opened = Math.sqrt(opening.areaMm2 / Math.PI)
    const c = Math.cos(at.azimuth)
    const s = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: 1,
      path(t, out) {
        out.x = c * at.ringMm
        out.y = s * at.ringMm
        out.z = at.heightMm + p.tallMm * t
        const belly = Math.sqrt(Math.max(0, 1 - ((t - BELLY) / (1 - BELLY)) ** 2))
        out.scale = (p.radiusMm * belly * (1 - NARROWS * t ** LATE)) / opened
        out.twist = 0
      },
    }
  },
  speedMmPerS: 25,
  overheadSeconds: 0.6,
  words: {
    hold: 'Upright, a hair above the surface.',
    clock: null,
    pressure: 'Squeeze to size, then lift slowly while easing off.',
    stop: 'Stop just before the point.',
    goesWrong: ['A bent point: lifted sideways. Press it down with a damp finger.'],
  },
}
