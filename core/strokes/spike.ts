import { z } from 'zod'
import { flow } from './params.ts'
import { radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('spike'),
  tallMm: z.number().min(0.5).max(40),
  leanDeg: z.number().min(-60).max(90).default(0).describe('Lean away from the centre'),
  taper: z.number().min(0.1).max(2).default(0.6).describe('Higher runs out to a longer point'),
  flow,
})

/** Stamen or spike: squeeze, pull, ease off to a point. */
export const spike: StrokeDefinition<typeof schema> = {
  label: 'spike',
  schema,
  families: ['round', 'cutBag', 'multiHole', 'star'],
  freeOpening: false,
  texture: 'spiked',
  rests: 'rises',
  small: true,
  trace: (p, at) => {
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    const lean = radians(p.leanDeg)
    return {
      primitive: 'tube',
      flow: p.flow,
      path(t, out) {
        const out_ = at.ringMm + Math.sin(lean) * p.tallMm * t
        out.x = cos * out_
        out.y = sin * out_
        out.z = at.heightMm + Math.cos(lean) * p.tallMm * t
        out.scale = (1 - t) ** p.taper
        out.twist = 0
      },
    }
  },
  speedMmPerS: 20,
  overheadSeconds: 0.6,
  words: {
    hold: 'Upright on the spot.',
    clock: null,
    pressure: 'Squeeze for a foot, pull up while easing off.',
    stop: 'Stop before the end and pull to a point.',
    goesWrong: [
      'Falls over: too soft, or squeezed too short for a foot. Use stiffer icing and hold the squeeze a moment longer.',
    ],
  },
}
