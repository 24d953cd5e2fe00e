import { z } from 'zod'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('dot'),
  radiusMm: z.number().min(0.3).max(15),
  tallMm: z.number().min(0.2).max(25),
})

/** Dot or bead: an ellipsoid of icing sitting on a flattened foot, widest three tenths of the way up. */
export const dot: StrokeDefinition<typeof schema> = {
  label: 'dot',
  schema,
  families: ['round', 'cutBag', 'star', 'multiHole'],
  freeOpening: true,
  texture: 'dotted',
  rests: 'sits',
  squeezed: 'dot',
  foots: true,
  small: true,
  trace: (p, at, opening) => {
    const opened = Math.sqrt(opening.areaMm2 / Math.PI)
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: 1,
      path(t, out) {
        out.x = cos * at.ringMm
        out.y = sin * at.ringMm
        out.z = at.heightMm + p.tallMm * t
        out.scale = (p.radiusMm * Math.sqrt(Math.max(0, 1 - ((t - 0.3) / 0.7) ** 2))) / opened
        out.twist = 0
      },
    }
  },
  speedMmPerS: 30,
  overheadSeconds: 0.55,
  words: {
    hold: 'Upright, a hair above the surface.',
    clock: null,
    pressure: 'Squeeze to size without moving.',
    stop: 'Stop, then lift away sideways so that no point stays.',
    goesWrong: [
      'Points or tails: pulled before the pressure stopped. Press them down with a damp brush; next time stop, then lift sideways.',
    ],
  },
}
