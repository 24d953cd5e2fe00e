import { z } from 'zod'
import { flow } from './params.ts'
import { lerp, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('shell'),
  lengthMm: z.number().min(2).max(60),
  swell: z.number().min(0.6).max(2).default(1.25),
  taper: z.number().min(0).max(0.9).default(0.25).describe('Share of the width left at the tail'),
  flow,
})

/** The hump is squeezed over this share of the shell, from so much of the opening's width; then it is drawn down. */
const HUMP = 0.38
const BEGINS = 0.55
/** The tail narrows a little slower than evenly. */
const DRAWN = 0.85
/** How high its middle lies over half its width, and how far it rolls up over its own front, halfway along the hump twice over. */
const LIES = 0.8
const ROLLS = 0.22

/** Shell, or bead with a tail when piped with a round opening: squeeze to a hump, pull down to a tail. */
export const shell: StrokeDefinition<typeof schema> = {
  label: 'shell',
  schema,
  families: ['star', 'round', 'cutBag'],
  freeOpening: false,
  texture: 'swirled',
  rests: 'lies',
  fragile: true,
  trace: (p, at, opening) => {
    const cos = Math.cos(at.azimuth)
    const sin = Math.sin(at.azimuth)
    return {
      primitive: 'tube',
      flow: p.flow,
      path(t, out) {
        // swells fast, rolls over its own front, then is drawn down to the surface
        const rise = Math.min(1, t / HUMP)
        const width =
          t < HUMP
            ? lerp(BEGINS, p.swell, Math.sin((rise * Math.PI) / 2))
            : lerp(p.swell, p.taper, ((t - HUMP) / (1 - HUMP)) ** DRAWN)
        out.x = cos * at.ringMm - sin * p.lengthMm * t
        out.y = sin * at.ringMm + cos * p.lengthMm * t
        out.z =
          at.heightMm +
          (opening.sizeMm / 2) * (LIES * width + ROLLS * Math.sin(Math.PI * Math.min(1, t / (2 * HUMP))))
        out.scale = width
        out.twist = 0
      },
    }
  },
  speedMmPerS: 16,
  overheadSeconds: 0.5,
  words: {
    hold: 'Bag at 45°, pointing along the border.',
    clock: 6,
    pressure: 'Squeeze until it swells, then ease off and pull down.',
    stop: 'Stop on the surface; start the next one on this tail.',
    goesWrong: ['Shells creep apart: each must begin on the tail of the one before.'],
  },
}
