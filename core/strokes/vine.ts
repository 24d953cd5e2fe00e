import { z } from 'zod'
import { bentLine } from './frames.ts'
import { flow } from './params.ts'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('vine'),
  lengthMm: z.number().min(3).max(400),
  waveMm: z.number().min(0).max(30).default(0).describe('How far it swings to each side'),
  waves: z.number().min(0).max(60).default(1),
  turnDeg: z.number().min(-360).max(360).default(0).describe('How far the whole line bends round'),
  taper: z.number().min(0).max(1).default(0).describe('How much thinner it is at its end'),
  flow,
})

/** String, vine or stem: a line of even thickness, straight, waved or bent round. */
export const vine: StrokeDefinition<typeof schema> = {
  label: 'string or vine',
  schema,
  families: ['round', 'cutBag', 'star', 'multiHole'],
  freeOpening: false,
  texture: 'lying',
  rests: 'lies',
  cycles: (p) => p.waves + Math.abs(p.turnDeg) / 360,
  trace: (p, at, opening) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      const swing = p.waveMm * Math.sin(2 * Math.PI * p.waves * t)
      ;[out.x, out.y] = bentLine(at, p.lengthMm, p.turnDeg, t, swing)
      out.z = at.heightMm + opening.sizeMm / 2
      out.scale = 1 - p.taper * t
      out.twist = 0
    },
  }),
  speedMmPerS: 35,
  overheadSeconds: 0.8,
  words: {
    hold: 'Bag at 45°, the opening just above the surface.',
    clock: 4,
    pressure: 'Even; lift a little and let the string fall where it should lie.',
    stop: 'Touch down, stop, pull away.',
    goesWrong: [
      'Breaks: the hand was faster than the icing. Join it with a damp brush.',
      'Curls up: the hand was slower. Move on, or squeeze less.',
    ],
  },
}
