import { z } from 'zod'
import { lie, onRing } from './frames.ts'
import { fill, flow } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('disc'),
  turns: z.number().min(0.9).max(1.4).default(1.06),
  liftDeg: z.number().min(-10).max(40).default(4),
  fill,
  flow,
})

/** Slot flat, one full turn about its wide end: a foot that ties separate petals together, so that a flower can be moved. */
export const disc: StrokeDefinition<typeof schema> = {
  label: 'foot disc',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'lying',
  rests: 'lies',
  foots: true,
  cycles: (p) => p.turns,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + 2 * Math.PI * p.turns * t
      const lift = radians(p.liftDeg)
      const [c, s] = onRing(out, at.ringMm, at.heightMm, theta)
      lie(out, lift, c, s)
      out.scale = p.fill
      out.curl = 0
      out.lip = 0
    },
  }),
  speedMmPerS: 16,
  overheadSeconds: 1.4,
  words: {
    hold: 'Slot flat on the parchment, wide end at the middle of the nail.',
    clock: 3,
    pressure: 'Even, one full turn of the nail.',
    stop: 'Overlap the start, stop, slide off.',
    goesWrong: ['Torn on lifting: too thin or not cold enough. Freeze it longer; press a little harder.'],
  },
}
