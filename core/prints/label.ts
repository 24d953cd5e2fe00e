import { mm } from '../guides/page.ts'
import type { Drawing } from './print.ts'
import { type Face, lineSvg, type Measure, wrap } from './type.ts'

/** What a label says, the most important first. */
export interface Label {
  /** The word over the number: "Bag". */
  sort: string
  /** What it is told apart by across the kitchen. */
  big: string
  title: string
  hexes: string[]
  lines: string[]
  /** Seen end-on, at true size where there is room for it. */
  tip: Drawing | null
  /** A code that a tablet reads: a square drawing. */
  code: Drawing | null
}

const MARGIN_MM = 2
const GAP_MM = 1.6
/** Narrower than this for its height, the number stands over the words and not beside them. */
const BESIDE = 1.3
const TITLE_MM = 4.4
const LINE_MM = 2.9
const LEADING = 1.22
/** Letters that a thermal printer still makes, and a person at arm's length still reads, mm. */
const LEAST_MM = 2
const SHRINK = 0.94
/** A code smaller than this is not read by a tablet held over it. */
const LEAST_CODE_MM = 10
/** Colours stand between number and words, from top to bottom. */
const SPINE_MM = 2.6

/** A label drawn to its size, and whether something on it found no room. */
export interface DrawnLabel {
  svg: string
  leftOut: boolean
}

/** Draws a label: as large as it fits, down to what can be read; words that find no room then are left out from the last on. */
export function drawLabel(label: Label, widthMm: number, heightMm: number, measure: Measure): DrawnLabel {
  const beside = widthMm >= BESIDE * heightMm
  const number = beside
    ? numberOf(label, 0.22 * widthMm, heightMm - 2 * MARGIN_MM, measure)
    : numberOf(label, widthMm - 2 * MARGIN_MM, 0.35 * heightMm, measure)
  const aside = asideOf(label, widthMm, heightMm)
  const spine = label.hexes.length > 0 ? SPINE_MM + GAP_MM : 0
  const left = (beside ? MARGIN_MM + number.widthMm + GAP_MM : MARGIN_MM) + spine
  const top = beside ? MARGIN_MM : MARGIN_MM + number.heightMm + GAP_MM
  const wide = widthMm - left - MARGIN_MM - (aside.widthMm > 0 ? aside.widthMm + GAP_MM : 0)
  const text = fitted(label, wide, heightMm - top - MARGIN_MM, measure)
  return {
    svg:
      number.svg +
      spineOf(label.hexes, left - spine, top, heightMm - top - MARGIN_MM) +
      `<g transform="translate(${mm(left)} ${mm(top)})">${text.svg}</g>` +
      `<g transform="translate(${mm(widthMm - MARGIN_MM - aside.widthMm)} ${mm(MARGIN_MM)})">${aside.svg}</g>`,
    leftOut: text.leftOut || aside.leftOut,
  }
}

/** Number and the word over it, in the top left corner. */
function numberOf({ sort, big }: Label, wide: number, high: number, measure: Measure) {
  const word = Math.min(LINE_MM, 0.2 * high)
  const size = Math.min(
    (high - word * LEADING) / 0.75,
    (20 * wide) / Math.max(1e-6, measure(big, 'title', 20)),
  )
  // digits stand 0.72 of their size high
  const foot = word * LEADING + 0.72 * size
  return {
    widthMm: Math.max(measure(big, 'title', size), measure(sort, 'text', word)),
    heightMm: foot,
    svg:
      lineSvg(sort, MARGIN_MM, MARGIN_MM + 0.8 * word, 'text', word) +
      lineSvg(big, MARGIN_MM, MARGIN_MM + foot, 'title', size),
  }
}

function spineOf(hexes: readonly string[], x: number, y: number, high: number): string {
  const each = high / Math.max(1, hexes.length)
  return hexes
    .map(
      (hex, i) =>
        `<rect x="${mm(x)}" y="${mm(y + i * each)}" width="${SPINE_MM}" height="${mm(each)}" fill="${hex}" stroke="#000" stroke-width="0.15"/>`,
    )
    .join('')
}

/** Opening and code down the right side, as far as they find room. */
function asideOf({ tip, code }: Label, widthMm: number, heightMm: number) {
  const most = Math.min(0.2 * widthMm, 22)
  let y = 0
  let svg = ''
  let wide = 0
  let leftOut = false
  const room = () => heightMm - 2 * MARGIN_MM - y
  const put = (drawing: Drawing, scale: number) => {
    const width = drawing.widthMm * scale
    svg += `<g transform="translate(${mm(-width)} ${mm(y)}) scale(${mm(scale)})">${drawing.svg}</g>`
    wide = Math.max(wide, width)
    y += drawing.heightMm * scale + 1
  }
  if (tip && room() >= 4) {
    const half = code ? (heightMm - 2 * MARGIN_MM) / 2 : room()
    put(tip, Math.min(1, most / tip.widthMm, half / tip.heightMm))
  }
  if (code) {
    const side = Math.min(most, room())
    if (side >= LEAST_CODE_MM) put(code, side / code.widthMm)
    else leftOut = true
  }
  // everything hangs from the right edge
  return { widthMm: wide, svg: `<g transform="translate(${mm(wide)} 0)">${svg}</g>`, leftOut }
}

interface SetLine {
  text: string
  face: Face
  size: number
}

function fitted(label: Label, wide: number, high: number, measure: Measure) {
  const set = (shrunk: number, lines: readonly string[]): SetLine[] => {
    const small = Math.max(LEAST_MM, LINE_MM * shrunk)
    const large = Math.max(LEAST_MM, TITLE_MM * shrunk)
    return [
      ...wrap(label.title, wide, 'strong', large, measure).map((text) => ({
        text,
        face: 'strong' as const,
        size: large,
      })),
      ...lines.flatMap((line) =>
        wrap(line, wide, 'text', small, measure).map((text) => ({
          text,
          face: 'text' as const,
          size: small,
        })),
      ),
    ]
  }
  const heightOf = (lines: readonly SetLine[]) => lines.reduce((sum, l) => sum + l.size * LEADING, 0)
  let shrunk = 1
  while (heightOf(set(shrunk, label.lines)) > high && LINE_MM * shrunk > LEAST_MM) shrunk *= SHRINK
  let said = label.lines
  while (said.length > 0 && heightOf(set(shrunk, said)) > high) said = said.slice(0, -1)
  let shown = set(shrunk, said)
  const leftOut = said.length < label.lines.length || heightOf(shown) > high
  while (shown.length > 1 && heightOf(shown) > high) shown = shown.slice(0, -1)
  let y = 0
  const drawn: string[] = []
  for (const { text, face, size } of shown) {
    drawn.push(lineSvg(text, 0, y + 0.82 * size, face, size))
    y += size * LEADING
  }
  return { svg: drawn.join(''), leftOut }
}
