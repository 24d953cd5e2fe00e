import { z } from 'zod'
import { flow, ripple } from './params.ts'
import { lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('leafPull'),
  lengthMm: z.number().min(4).max(80),
  widthScale: z.number().min(0.4).max(2).default(1),
  liftDeg: z.number().min(-10).max(80).default(15),
  trough: z.number().min(0).max(0.6).default(0.3).describe('How deep the vein lies, as a share of the width'),
  flow,
  ripple,
})

/** The foot is squeezed to its full width over this share of the leaf, from so much of it; beyond, both curves run out into the point. */
const FOOT = 0.22
const FOOT_BEGINS = 0.55
const POINT_CURVE = 1.9
const POINT_FULLNESS = 0.85
/** A point is never narrower than this share of the opening, and its icing never thinner than this of the slot. */
const FINEST = 0.03
const THINNEST = 0.3

/** Part of a leaf over which its foot is rounded, and how wide it begins, as a share of where the rounding ends. */
const ROUND_FOOT = 0.16
const BLUNT_FOOT = 0.3

/** Leaf: squeeze, ease, stop, pull. Width swells to full by a fifth of the way and runs out to a point. */
export const leafPull: StrokeDefinition<typeof schema> = {
  label: 'leaf',
  schema,
  families: ['leaf', 'petal', 'veeCut'],
  freeOpening: false,
  texture: 'leaf',
  rests: 'lies',
  trace: (p, at, opening) => {
    const ax = Math.cos(at.azimuth)
    const ay = Math.sin(at.azimuth)
    const lift = radians(p.liftDeg)
    return {
      primitive: 'sheet',
      flow: p.flow,
      vee: p.trough,
      path(t, out) {
        const along = Math.cos(lift) * p.lengthMm * t
        const outline = lerp(FOOT_BEGINS, 1, Math.min(1, t / FOOT)) * (1 - t ** POINT_CURVE) ** POINT_FULLNESS
        // icing runs round at the foot; the point is as fine as the opening lets it be, never nothing
        const foot = Math.sqrt(1 - (1 - Math.min(1, t / ROUND_FOOT)) ** 2)
        const swell = Math.max(FINEST, outline * lerp(BLUNT_FOOT, 1, foot)) * p.widthScale
        const width = opening.sizeMm * swell
        out.px = ax * (at.ringMm + along) + (ay * width) / 2
        out.py = ay * (at.ringMm + along) - (ax * width) / 2
        out.pz = at.heightMm + Math.sin(lift) * p.lengthMm * t
        out.sx = -ay
        out.sy = ax
        out.sz = 0
        out.bx = -Math.sin(lift) * ax
        out.by = -Math.sin(lift) * ay
        out.bz = Math.cos(lift)
        out.scale = swell
        out.thick = lerp(THINNEST, 1, outline)
        out.curl = 0
        out.lip = 0
      },
    }
  },
  speedMmPerS: 18,
  overheadSeconds: 1,
  words: {
    hold: 'Points of the opening up and down, bag at 45°.',
    clock: 6,
    pressure: 'Squeeze until the foot holds, ease off while pulling.',
    stop: 'Stop, then pull to a point.',
    goesWrong: [
      'Falls: too soft, or too large a gap beneath. Support it with a short one.',
      'A split point: icing too stiff for the beak. Soften it a little.',
    ],
  },
}
