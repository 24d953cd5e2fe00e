import { z } from 'zod'
import { flow, ripple, spanDeg, tiltDeg } from './params.ts'
import { bump, lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('brushDrag'),
  spanDeg,
  rimMm: z.number().min(2).max(40).describe('How far out the edge is piped'),
  drawMm: z.number().min(1).max(40).describe('How far it is drawn in'),
  tiltMidDeg: tiltDeg.describe('Lift of the petal'),
  flow,
  ripple,
})

/** How far in the ends of the edge lie, over its middle, and how round the edge is. */
const EDGE_ENDS = 0.72
const EDGE_FULLNESS = 0.7

/** Pipe an edge, then draw it in with a barely damp brush: thick at the rim, nothing at the heart. */
export const brushDrag: StrokeDefinition<typeof schema> = {
  label: 'brush-dragged petal',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'lying',
  rests: 'lies',
  trace: (p, at, opening) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const theta = at.azimuth + radians(p.spanDeg) * (t - 0.5)
      const reach = at.ringMm + p.rimMm * lerp(EDGE_ENDS, 1, bump(t, EDGE_FULLNESS))
      const lift = radians(p.tiltMidDeg)
      const c = Math.cos(theta)
      const s = Math.sin(theta)
      out.px = c * reach
      out.py = s * reach
      out.pz = at.heightMm + Math.sin(lift) * p.drawMm
      out.sx = -Math.cos(lift) * c
      out.sy = -Math.cos(lift) * s
      out.sz = -Math.sin(lift)
      out.bx = -Math.sin(lift) * c
      out.by = -Math.sin(lift) * s
      out.bz = Math.cos(lift)
      out.scale = p.drawMm / opening.sizeMm
      // what leaves the bag is an edge; the brush spreads it over the whole petal
      out.thick = opening.sizeMm / p.drawMm / 3
      out.curl = 0
      out.lip = 0
    },
  }),
  speedMmPerS: 12,
  overheadSeconds: 4.5,
  words: {
    hold: 'Wide end out, low; the brush follows while it is fresh.',
    clock: 3,
    pressure: 'Even along the edge; the brush does the rest.',
    stop: 'Stop at the heart. Wipe the brush after every petal.',
    goesWrong: [
      'Streaks of bare cake: the brush was dry or the icing had crusted. A dab of water, and faster.',
    ],
  },
}
