import { z } from 'zod'
import { bentLine, ROPE_MIDDLE } from './frames.ts'
import { flow } from './params.ts'
import { bump, lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('comma'),
  lengthMm: z.number().min(2).max(80),
  turnDeg: z.number().min(-300).max(300).default(90).describe('How far it bends round'),
  swell: z.number().min(0.6).max(2.4).default(1.5),
  flow,
})

/** Where the head ends, how wide it begins over its widest, and how round it is. */
const HEAD_ENDS = 0.5
const HEAD_BEGINS = 0.35
const HEAD_FULLNESS = 0.6
/** The tail runs out as a square root does: long thin, then quickly nothing. */
const TAIL_TAPER = 0.5
/** However thin the tail, it lies no lower than a rope of this share of the opening. */
const THINNEST = 0.2

/** A fat head drawn out into a curved tail: teardrop scrolls, bud leaves. */
export const comma: StrokeDefinition<typeof schema> = {
  label: 'comma',
  schema,
  families: ['round', 'cutBag', 'star'],
  freeOpening: false,
  texture: 'dotted',
  rests: 'lies',
  trace: (p, at, opening) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      ;[out.x, out.y] = bentLine(at, p.lengthMm, p.turnDeg, t)
      out.scale =
        p.swell *
        lerp(HEAD_BEGINS, 1, bump(Math.min(1, t / HEAD_ENDS), HEAD_FULLNESS)) *
        (1 - t) ** TAIL_TAPER
      out.z = at.heightMm + opening.sizeMm * ROPE_MIDDLE * Math.max(THINNEST, out.scale)
      out.twist = 0
    },
  }),
  speedMmPerS: 20,
  overheadSeconds: 0.7,
  words: {
    hold: 'Bag at 45°, pointing back along the tail.',
    clock: 6,
    pressure: 'Squeeze for the head, ease off along the tail.',
    stop: 'Stop on the surface and draw it out.',
    goesWrong: ['A blunt tail: pressure held too long. Draw it out with a brush.'],
  },
}
