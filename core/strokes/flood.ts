import { z } from 'zod'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('flood'),
  radiusMm: z.number().min(1).max(150),
  deepMm: z.number().min(0.5).max(8).default(1.5),
})

/** An area filled with icing that runs, as deep as it stands: area times depth. */
export const flood: StrokeDefinition<typeof schema> = {
  label: 'flooded area',
  schema,
  families: ['round', 'cutBag'],
  freeOpening: true,
  texture: 'lying',
  rests: 'spreads',
  foots: true,
  trace: (p, at, opening) => {
    const opened = Math.sqrt(opening.areaMm2 / Math.PI)
    return {
      primitive: 'tube',
      flow: 1,
      path(t, out) {
        out.x = Math.cos(at.azimuth) * at.ringMm
        out.y = Math.sin(at.azimuth) * at.ringMm
        out.z = at.heightMm + p.deepMm * t
        out.scale = p.radiusMm / opened
        out.twist = 0
      },
    }
  },
  speedMmPerS: 30,
  overheadSeconds: 3,
  words: {
    hold: 'Upright inside the outline.',
    clock: null,
    pressure: 'Fill from the edge inwards; push it into corners with a needle.',
    stop: 'Stop early: it goes on running.',
    goesWrong: ['Runs over the edge: too thin or too much. Let the outline crust first.'],
  },
}
