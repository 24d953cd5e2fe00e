import { z } from 'zod'
import { flow } from './params.ts'
import { bump, lerp, radians, type StrokeDefinition } from './stroke.ts'

const schema = z.object({
  kind: z.literal('scoop'),
  lengthMm: z.number().min(2).max(60),
  riseStartDeg: z.number().min(-20).max(120).describe('Lift of the pull where it starts'),
  riseEndDeg: z.number().min(-20).max(130).describe('Lift of the pull where it ends'),
  startScale: z.number().min(0.3).max(1.2).default(0.72),
  endScale: z.number().min(0.2).max(1.2).default(0.62),
  flow,
})

/** How soon the pressure of a pull is full. */
const PRESSURE_FULLNESS = 0.8

const SAMPLES = 12

/**
 * Half-moon petal: touch, squeeze, stop, pull away. The section is the slot itself, hollow side up, swept along
 * a pull whose lift runs evenly from start to end.
 */
export const scoop: StrokeDefinition<typeof schema> = {
  label: 'scooped petal',
  schema,
  families: ['halfMoon', 'petal', 'curvedPetal'],
  freeOpening: false,
  texture: 'standing',
  rests: 'lies',
  meets: { at: 'start', share: 0.3, upTo: 0.35 },
  trace: (p, at, opening) => {
    const half = radians(opening.bendDeg) / 2
    const ax = Math.cos(at.azimuth)
    const ay = Math.sin(at.azimuth)
    return {
      primitive: 'sheet',
      flow: p.flow,
      path(t, out) {
        let along = 0
        let up = 0
        for (let k = 0; k < SAMPLES; k++) {
          const lift = radians(lerp(p.riseStartDeg, p.riseEndDeg, (t * (k + 0.5)) / SAMPLES))
          along += (Math.cos(lift) * p.lengthMm * t) / SAMPLES
          up += (Math.sin(lift) * p.lengthMm * t) / SAMPLES
        }
        const lift = radians(lerp(p.riseStartDeg, p.riseEndDeg, t))
        const swell = lerp(t < 0.5 ? p.startScale : p.endScale, 1, bump(t, PRESSURE_FULLNESS))
        // across the pull, and the hollow side, both at a right angle to it
        const nx = -Math.sin(lift) * ax
        const ny = -Math.sin(lift) * ay
        const nz = Math.cos(lift)
        const width = opening.sizeMm * swell
        out.px = ax * (at.ringMm + along) + (ay * width) / 2
        out.py = ay * (at.ringMm + along) - (ax * width) / 2
        out.pz = at.heightMm + up
        const c = Math.cos(half)
        const s = Math.sin(half)
        out.sx = -ay * c - nx * s
        out.sy = ax * c - ny * s
        out.sz = -nz * s
        out.bx = -ay * s + nx * c
        out.by = ax * s + ny * c
        out.bz = nz * c
        out.scale = swell
        out.curl = 0
        out.lip = 0
      },
    }
  },
  speedMmPerS: 24,
  overheadSeconds: 0.8,
  words: {
    hold: 'Half-moon with its hollow side up, touching the base.',
    clock: 6,
    pressure: 'Squeeze until the petal has its width, then ease off as you pull.',
    stop: 'Stop squeezing completely, then pull away: the petal comes off clean.',
    goesWrong: ['Petals stretch and break when pulled: the grip was not released. Squeeze, stop, then pull.'],
  },
}
