import { z } from 'zod'
import { slip } from '../random.ts'
import type { ToolDefinition } from './tool.ts'

const from = z.number().min(0).max(1)
const to = z.number().min(0).max(1)
const widthMm = z.number().min(0.1).max(5)
const count = z.number().int().min(1).max(60)

/** What all painting has in common: on icing that is dry, with food colour. */
const painted = {
  instruments: ['paintBrush', 'toothpick'],
  when: ['dry', 'crusted'],
  rests: ['lies', 'sits', 'rises', 'coils', 'stands', 'spreads'],
} as const

const dotsSchema = z.object({ kind: z.literal('paintDots'), count, widthMm, from, to })
/** Dots painted on, scattered between two distances from the heart. */
export const paintDots: ToolDefinition<typeof dotsSchema> = {
  ...painted,
  label: 'paint dots on',
  schema: dotsSchema,
  secondsEach: 3,
  marks: (p, random) =>
    Array.from({ length: p.count }, () => {
      const at = p.from + (p.to - p.from) * random()
      return { from: at, to: at, aside: 0.75 * slip(random), widthMm: p.widthMm * (0.75 + 0.5 * random()) }
    }),
  words: {
    how: 'Food colour thinned with a drop of clear spirit or water; blot the brush, touch and lift.',
    goesWrong: 'The dot runs: the icing is not dry, or the brush is wet.',
  },
}

const linesSchema = z.object({ kind: z.literal('paintLines'), count, widthMm, from, to })
/** Fine lines painted on, side by side from nearer the heart outwards. */
export const paintLines: ToolDefinition<typeof linesSchema> = {
  ...painted,
  label: 'paint fine lines on',
  schema: linesSchema,
  secondsEach: 4,
  marks: (p, random) =>
    Array.from({ length: p.count }, (_, i) => ({
      from: p.from,
      to: p.to - (p.to - p.from) * 0.25 * random(),
      aside: p.count === 1 ? 0 : (((i + 0.5) / p.count) * 2 - 1) * SIDE,
      widthMm: p.widthMm,
    })),
  words: {
    how: 'The tip of the brush only, outwards, and lift as you go.',
    goesWrong: 'Lines bleed: the icing is damp, or the colour too thin.',
  },
}
/** Lines reach so far to the sides of a petal. */
const SIDE = 0.55

const washSchema = z.object({ kind: z.literal('wash'), to, widthMm })
/** A wash of colour from the heart outwards, as a brush leaves it: dense there, and ragged where it ends. */
export const wash: ToolDefinition<typeof washSchema> = {
  ...painted,
  label: 'wash the heart with colour',
  schema: washSchema,
  secondsEach: 4,
  marks: (p, random) =>
    Array.from({ length: WASHES }, (_, i) => ({
      from: 0,
      to: p.to * (0.55 + 0.45 * random()),
      aside: ((i + 0.5) / WASHES) * 2 - 1,
      widthMm: p.widthMm,
    })),
  words: {
    how: 'Start at the heart with little colour, and let the brush run dry outwards.',
    goesWrong: 'A hard edge: too wet. Soften it with a clean, barely damp brush.',
  },
}
const WASHES = 15
