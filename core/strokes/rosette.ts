import { z } from 'zod'
import { flow } from './params.ts'
import { lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('rosette'),
  outerMm: z.number().min(1).max(60).describe('Radius of the outermost turn, to the middle of the rope'),
  turns: z.number().min(0.8).max(8),
  riseMm: z.number().min(0).max(80).default(0).describe('0 for a rosette, the height of a swirl otherwise'),
  scale: z.number().min(0.5).max(1.6).default(1),
  flow,
})

/** Over the first sixteenth the pressure builds up, from so much; over the last part it is let go, down to so much. */
const STARTS = 1 / 16
const STARTS_FROM = 0.3
const LETS_GO = 0.94
const ENDS_AT = 0.25

/** The rope begins thin, and the next turn covers it. */
const start = (t: number): number => (t < STARTS ? lerp(STARTS_FROM, 1, Math.sqrt(t / STARTS)) : 1)

/**
 * Rosette or swirl. The tip does not turn with the hand, so the section twists once a loop against the path:
 * that is what makes its ridges. A flat rosette runs from the middle outwards; a swirl from the rim to the top.
 */
export const rosette: StrokeDefinition<typeof schema> = {
  label: 'rosette or swirl',
  schema,
  families: ['star', 'round', 'cutBag'],
  freeOpening: false,
  texture: 'swirled',
  rests: 'coils',
  fragile: true,
  cycles: (p) => p.turns,
  trace: (p, at) => ({
    primitive: 'tube',
    flow: p.flow,
    path(t, out) {
      const swirl = p.riseMm > 0
      const phi = 2 * Math.PI * p.turns * (swirl ? t : Math.sqrt(t))
      const r = swirl ? p.outerMm * (1 - t) : p.outerMm * Math.sqrt(t)
      const theta = at.azimuth + phi
      out.x = Math.cos(at.azimuth) * at.ringMm + Math.cos(theta) * r
      out.y = Math.sin(at.azimuth) * at.ringMm + Math.sin(theta) * r
      out.z = at.heightMm + p.riseMm * t
      const fade = t > LETS_GO ? lerp(1, ENDS_AT, (t - LETS_GO) / (1 - LETS_GO)) : 1
      out.scale = p.scale * fade * start(t)
      out.twist = -theta
    },
  }),
  speedMmPerS: 45,
  overheadSeconds: 1.5,
  words: {
    hold: 'Upright, the opening one rope above the surface.',
    clock: null,
    pressure: 'Even squeeze, even circles; never turn the bag.',
    stop: 'Ease off over the last quarter turn and lay the tail against the side.',
    goesWrong: ['A seam where it ends: lay the tail against the side and turn it to the back.'],
  },
}
