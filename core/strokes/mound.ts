import { z } from 'zod'
import { lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('mound'),
  radiusMm: z.number().min(0.5).max(60).describe('Radius of the foot'),
  topMm: z.number().min(0).max(60).default(0).describe('Radius at the top of a cone; a dome has none'),
  tallMm: z.number().min(0.3).max(60),
  shape: z.enum(['dome', 'cone']),
})

/** Hold above and squeeze without moving (or a tightening spiral for a cone): a dome or a truncated cone. */
export const mound: StrokeDefinition<typeof schema> = {
  label: 'mound',
  schema,
  // a small foot is squeezed through whatever is on the bag
  families: ['round', 'star', 'cutBag', 'petal', 'curvedPetal', 'halfMoon', 'leaf'],
  freeOpening: true,
  texture: 'dotted',
  rests: 'sits',
  squeezed: 'mound',
  foots: true,
  trace: (p, at, opening) => {
    const opened = Math.sqrt(opening.areaMm2 / Math.PI)
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: 1,
      path(t, out) {
        const r = p.shape === 'dome' ? p.radiusMm * Math.sqrt(1 - t * t) : lerp(p.radiusMm, p.topMm, t)
        out.x = cos * at.ringMm
        out.y = sin * at.ringMm
        out.z = at.heightMm + p.tallMm * t
        out.scale = r / opened
        out.twist = 0
      },
    }
  },
  speedMmPerS: 30,
  overheadSeconds: 1,
  words: {
    hold: 'Upright, the opening just above the base.',
    clock: null,
    pressure: 'Squeeze without moving; let the icing rise around the tip.',
    stop: 'Stop squeezing, then lift with a small swirl.',
    goesWrong: [
      'Leans to one side: the bag was not upright. Press it straight with a damp finger.',
      'Too high for the petals around it: stop below the slot length of their tip.',
    ],
  },
}
