import { z } from 'zod'
import { ROPE_MIDDLE } from './frames.ts'
import { flow } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('zigzag'),
  spanDeg: z.number().min(5).max(360).default(360),
  ampMm: z.number().min(0.2).max(15).describe('How far it swings to each side'),
  waves: z.number().min(1).max(120),
  flow,
})

/** A fine string along an edge, swinging in and out. */
export const zigzag: StrokeDefinition<typeof schema> = {
  label: 'rim zigzag',
  schema,
  families: ['round', 'cutBag', 'star'],
  freeOpening: false,
  texture: 'swirled',
  rests: 'lies',
  cycles: (p) => p.waves + p.spanDeg / 360,
  trace: (p, at, opening) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + radians(p.spanDeg) * t
      const r = at.ringMm + p.ampMm * Math.sin(2 * Math.PI * p.waves * t)
      out.x = Math.cos(theta) * r
      out.y = Math.sin(theta) * r
      out.z = at.heightMm + opening.sizeMm * ROPE_MIDDLE
      out.scale = 1
      out.twist = 0
    },
  }),
  speedMmPerS: 40,
  overheadSeconds: 1,
  words: {
    hold: 'Upright, just above the edge.',
    clock: null,
    pressure: 'Even, with a quick even swing.',
    stop: 'Touch down, stop, lift.',
    goesWrong: ['Uneven swing: mark the edge with a scribe first.'],
  },
}
