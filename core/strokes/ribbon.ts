import { z } from 'zod'
import { bentLine } from './frames.ts'
import { tiltDeg } from './params.ts'
import { petalArc } from './petalArc.ts'
import { lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('ribbon'),
  lengthMm: z.number().min(4).max(400),
  turnDeg: z.number().min(-360).max(360).default(0).describe('How far the whole line bends round'),
  tiltEndDeg: tiltDeg.default(35).describe('How far the free edge leans away from the wall'),
  flow: petalArc.schema.shape.flow,
  ripple: petalArc.schema.shape.ripple,
})

/** Rim ruffle or ribbon: the slot's wide end on a line along a rim, its free edge out, gathered by a shake. */
export const ribbon: StrokeDefinition<typeof schema> = {
  label: 'rim ruffle',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'ruffled',
  rests: 'stands',
  fragile: true,
  cycles: (p) => 1 + Math.abs(p.turnDeg) / 360,
  trace: (p, at) => {
    const tilt = radians(p.tiltEndDeg)
    return {
      primitive: 'sheet',
      flow: p.flow,
      path(t, out) {
        ;[out.px, out.py] = bentLine(at, p.lengthMm, p.turnDeg, t)
        out.pz = at.heightMm
        // outwards is to the right of the way the hand goes
        const heading = at.azimuth + radians(p.turnDeg) * t
        const ox = Math.sin(heading)
        const oy = -Math.cos(heading)
        out.sx = Math.sin(tilt) * ox
        out.sy = Math.sin(tilt) * oy
        out.sz = Math.cos(tilt)
        out.bx = Math.cos(tilt) * ox
        out.by = Math.cos(tilt) * oy
        out.bz = -Math.sin(tilt)
        out.scale = lerp(0.8, 1, Math.min(1, Math.min(t, 1 - t) / 0.06))
        out.curl = 0
        out.lip = 0
      },
    }
  },
  speedMmPerS: 20,
  overheadSeconds: 1,
  words: {
    hold: 'Wide end against the rim, narrow end out, bag at 45°.',
    clock: 4,
    pressure: 'Even, with a small regular up and down; turn the piece, not the hand.',
    stop: 'Tuck the end behind the start, stop, slide away.',
    goesWrong: ['Falls off the rim: too soft, or too little of the wide end touches. Press it on as you go.'],
  },
}
