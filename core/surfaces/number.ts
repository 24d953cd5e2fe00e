import { z } from 'zod'
import { shapesWhere } from './contour.ts'
import { cutOut, cutOutHeight } from './cutOut.ts'
import { digitLines } from './digits.ts'
import type { Cutout, Dot } from './outline.ts'

/** Bars wider than this share of their digit run into each other. */
const WIDEST_BAR = 0.32
/** Between two digits, in the width of the bar. */
const BETWEEN = 0.3
/** Bends are drawn so fine. */
const CELLS = 90

const fields = z.object({
  kind: z.literal('number'),
  digits: z.string().regex(/^\d{1,3}$/, 'One to three digits.'),
  /** From the foot of a digit to its top. */
  tallMm: z.number().min(60, 'A number is at least 60 mm tall.').max(600, 'A number is at most 600 mm tall.'),
  /** How wide the bar is that its digits are cut as. */
  barMm: z.number().min(12, 'At least 12 mm wide.').max(180, 'At most 180 mm wide.'),
  heightMm: cutOutHeight,
})
const schema = fields.refine(({ tallMm, barMm }) => barMm <= WIDEST_BAR * tallMm, {
  path: ['barMm'],
  message: 'The bar is at most a third of the height, less a little: its bends would run into each other.',
})
type NumberCake = z.infer<typeof schema>

function shapesOf({ digits, tallMm, barMm: bar }: NumberCake): Cutout[] {
  // the line is half a bar inside the edge on all sides
  const by = (tallMm - bar) / 2
  const wide = by + bar * (1 + BETWEEN)
  return [...digits].flatMap((digit, i) => {
    const lines = digitLines[Number(digit)]!.map((line) => line.map((p) => ({ x: p.x * by, y: p.y * by })))
    const shift = (i - (digits.length - 1) / 2) * wide
    const half = { x: (by + bar) / 2 + bar, y: tallMm / 2 }
    return shapesWhere((x, y) => bar / 2 - fromLines(lines, x, y), half, 0, CELLS).map((cutout) =>
      cutout.map((loop) => loop.map(({ x, y }) => ({ x: x + shift, y }))),
    )
  })
}

/** How far a point is from lines, mm. */
function fromLines(lines: readonly (readonly Dot[])[], x: number, y: number): number {
  let least = Number.POSITIVE_INFINITY
  for (const line of lines)
    for (let i = 1; i < line.length; i++) {
      const [p, q] = [line[i - 1]!, line[i]!]
      const [dx, dy] = [q.x - p.x, q.y - p.y]
      const far = dx * dx + dy * dy
      const t = far > 0 ? Math.min(1, Math.max(0, ((x - p.x) * dx + (y - p.y) * dy) / far)) : 0
      least = Math.min(least, Math.hypot(p.x + t * dx - x, p.y + t * dy - y))
    }
  return least
}

/** The last few outlines: a piece is asked for its own again and again. */
const lately = new Map<string, Cutout[]>()
const KEPT = 8

/** Digits cut from cake or cookie. */
export const number = cutOut({
  label: 'number',
  plural: 'numbers',
  schema,
  shapes(shape) {
    const key = `${shape.digits} ${shape.tallMm} ${shape.barMm}`
    const known = lately.get(key)
    if (known) return known
    const shapes = shapesOf(shape)
    if (lately.size >= KEPT) lately.delete(lately.keys().next().value!)
    lately.set(key, shapes)
    return shapes
  },
  heightMm: ({ heightMm }) => heightMm,
  words: ({ digits, tallMm }, length) => `${digits}, ${length(tallMm)} tall`,
})
