import { z } from 'zod'
import { bentLine, ROPE_MIDDLE } from './frames.ts'
import { flow } from './params.ts'
import { lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('beadTrail'),
  lengthMm: z.number().min(4).max(300),
  beads: z.number().int().min(2).max(60),
  turnDeg: z.number().min(-360).max(360).default(0).describe('How far the whole line bends round'),
  taper: z.number().min(0).max(0.9).default(0.5).describe('How much smaller the last bead is'),
  swell: z.number().min(0.8).max(2).default(1.3),
  flow,
})

/** The rope between two beads over a bead's own width, and how full a bead is: less than one is rounder than a wave. */
const NECK = 0.4
const BEAD_FULLNESS = 0.7

/** Beads run together along a curve, large to small. */
export const beadTrail: StrokeDefinition<typeof schema> = {
  label: 'bead trail',
  schema,
  families: ['round', 'cutBag', 'star'],
  freeOpening: false,
  texture: 'dotted',
  rests: 'lies',
  small: true,
  cycles: (p) => p.beads + Math.abs(p.turnDeg) / 360,
  trace: (p, at, opening) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      ;[out.x, out.y] = bentLine(at, p.lengthMm, p.turnDeg, t)
      const bead = lerp(NECK, 1, Math.abs(Math.sin(Math.PI * p.beads * t)) ** BEAD_FULLNESS)
      out.scale = p.swell * bead * (1 - p.taper * t)
      out.z = at.heightMm + opening.sizeMm * ROPE_MIDDLE
      out.twist = 0
    },
  }),
  speedMmPerS: 14,
  overheadSeconds: 0.8,
  words: {
    hold: 'Bag at 45°, the opening on the surface.',
    clock: 6,
    pressure: 'Squeeze, ease, squeeze; a little less each time.',
    stop: 'Stop on the surface and draw a tail.',
    goesWrong: ['Gaps between beads: begin each one on the tail before it.'],
  },
}
