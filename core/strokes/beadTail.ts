import { z } from 'zod'
import { flow } from './params.ts'
import type { StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('beadTail'),
  lengthMm: z.number().min(2).max(40),
  swell: z.number().min(0.8).max(2.2).default(1.3).describe('How far the bead swells beyond the opening'),
  flow,
})

/** Share of the length that is the round bead; the rest is the tail it is pulled to. */
const HEAD = 0.62
const TAIL_SCALE = 0.22
/** The tail is drawn out of the head here, as a share of it, from so much of its width, and thins faster than evenly. */
const TAIL_LEAVES = HEAD * 0.78
const TAIL_BEGINS = 0.83
const TAIL_TAPER = 1.5
/** A bead flattens to so much of its height where it lies. */
const FLATTENED = 0.86

/** Width of the bead along its length: a round head, then a tail drawn down to the surface. */
function profile(t: number, swell: number): number {
  const head = Math.min(1, t / HEAD)
  const round = swell * Math.sqrt(Math.max(0.02, 1 - (2 * head - 1) ** 2))
  if (t <= TAIL_LEAVES) return round
  const tail = 1 - (t - TAIL_LEAVES) / (1 - TAIL_LEAVES)
  return Math.max(TAIL_SCALE, swell * TAIL_BEGINS * tail ** TAIL_TAPER)
}

/** Bead with a tail: squeeze a round, stop, draw the tail down; the next bead sits on it. */
export const beadTail: StrokeDefinition<typeof schema> = {
  label: 'bead with tail',
  schema,
  families: ['round', 'cutBag'],
  freeOpening: false,
  texture: 'dotted',
  rests: 'lies',
  small: true,
  trace: (p, at, opening) => {
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: p.flow,
      path(t, out) {
        const width = profile(t, p.swell)
        out.x = cos * at.ringMm - sin * p.lengthMm * t
        out.y = sin * at.ringMm + cos * p.lengthMm * t
        // it lies on the surface: its middle is as high as it is thick, a little flattened
        out.z = at.heightMm + (opening.sizeMm / 2) * width * FLATTENED
        out.scale = width
        out.twist = 0
      },
    }
  },
  speedMmPerS: 14,
  overheadSeconds: 0.5,
  words: {
    hold: 'Bag at 45°, the opening just above the surface, pointing along the border.',
    clock: 6,
    pressure: 'Squeeze without moving until it is round, ease off, draw the tail down.',
    stop: 'Stop, then slide away along the surface; start the next bead on this tail.',
    goesWrong: [
      'A point on the bead: lifted while squeezing. Press it down with a damp brush.',
      'Beads of several sizes: count while squeezing, the same count each time.',
    ],
  },
}
