import { z } from 'zod'
import { flow } from './params.ts'
import { lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('dropStar'),
  tallMm: z.number().min(1).max(25),
  swell: z.number().min(0.8).max(1.8).default(1.2),
  spinDeg: z.number().min(0).max(180).default(0).describe('Turn of the wrist while squeezing'),
  flow,
})

/** Drop star: squeeze on the spot, stop, lift. With a turn of the wrist it becomes a small swirled flower. */
export const dropStar: StrokeDefinition<typeof schema> = {
  label: 'drop star',
  schema,
  families: ['star'],
  freeOpening: false,
  texture: 'swirled',
  rests: 'sits',
  small: true,
  trace: (p, at) => {
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: p.flow,
      path(t, out) {
        out.x = cos * at.ringMm
        out.y = sin * at.ringMm
        out.z = at.heightMm + p.tallMm * t
        out.scale = p.swell * lerp(0.86, 1, Math.min(1, t / 0.25)) * Math.max(0.04, 1 - t ** 1.7) ** 0.85
        out.twist = (p.spinDeg * Math.PI * t) / 180
      },
    }
  },
  speedMmPerS: 12,
  overheadSeconds: 0.5,
  words: {
    hold: 'Upright, touching the surface.',
    clock: null,
    pressure: 'One squeeze; let it spread to size.',
    stop: 'Stop, then lift straight up.',
    goesWrong: ['Pulled to a peak: lifted while still squeezing. Stop first.'],
  },
}
