import { z } from 'zod'
import { ROPE_MIDDLE } from './frames.ts'
import { flow } from './params.ts'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('line'),
  lengthMm: z.number().min(1).max(2000),
  flow,
})

/** Line work and writing: so many millimetres of string laid down. */
export const line: StrokeDefinition<typeof schema> = {
  label: 'line or lettering',
  schema,
  families: ['round', 'cutBag'],
  freeOpening: false,
  texture: 'lying',
  rests: 'lies',
  trace: (p, at, opening) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      out.x = Math.cos(at.azimuth) * (at.ringMm + p.lengthMm * t)
      out.y = Math.sin(at.azimuth) * (at.ringMm + p.lengthMm * t)
      out.z = at.heightMm + opening.sizeMm * ROPE_MIDDLE
      out.scale = 1
      out.twist = 0
    },
  }),
  speedMmPerS: 25,
  overheadSeconds: 0.6,
  words: {
    hold: 'Bag at 45°; let the string fall.',
    clock: 4,
    pressure: 'Even; lift it off the surface so that it runs straight.',
    stop: 'Touch down, stop, pull away.',
    goesWrong: ['Shaky: held too close to the surface. Lift, and let it hang.'],
  },
}
