import { z } from 'zod'
import { stand } from './frames.ts'
import { flow, lipDeg, tiltDeg } from './params.ts'
import { bump, lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('outAndBack'),
  outMm: z.number().min(0).max(20).describe('How far it is pushed out'),
  sideMm: z.number().min(0.2).max(6).default(1.4).describe('Gap between the way out and the way back'),
  tiltMidDeg: tiltDeg.describe('How far the free end leans out'),
  endScale: z.number().min(0.3).max(1).default(0.6),
  lipDeg,
  flow,
})

/** How flat the turn of the push is; how far the slot leans before it opens, over how far it opens; how soon the pressure is full. */
const TURN_FULLNESS = 0.8
const LEANS_AT_REST = 0.4
const PRESSURE_FULLNESS = 0.5

/** Narrow upright petal: pushed out and pulled back, wide end on the base. */
export const outAndBack: StrokeDefinition<typeof schema> = {
  label: 'upright petal',
  schema,
  families: ['petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'stands',
  upright: true,
  trace: (p, at) => ({
    primitive: 'sheet',
    flow: p.flow,
    path(t, out) {
      const push = bump(t, TURN_FULLNESS)
      const reach = at.ringMm + p.outMm * push
      const side = p.sideMm * (t - 0.5)
      const tilt = radians(lerp(p.tiltMidDeg * LEANS_AT_REST, p.tiltMidDeg, push))
      const c = Math.cos(at.azimuth)
      const s = Math.sin(at.azimuth)
      out.px = c * reach - s * side
      out.py = s * reach + c * side
      out.pz = at.heightMm
      stand(out, tilt, c, s)
      out.scale = lerp(p.endScale, 1, bump(t, PRESSURE_FULLNESS))
      out.curl = 0
      out.lip = radians(p.lipDeg) * push
    },
  }),
  speedMmPerS: 18,
  overheadSeconds: 1.1,
  words: {
    hold: 'Slot upright, wide end on the base.',
    clock: 6,
    pressure: 'Squeeze out, ease off on the way back.',
    stop: 'Stop on the base, pull away along the petal.',
    goesWrong: ['Falls outwards: the free end leaned too far. Support it with the next petal.'],
  },
}
