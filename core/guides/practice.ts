import type { Point } from '../practice/attempt.ts'
import type { Drill } from '../practice/drill.ts'
import { pointAt } from '../practice/drill.ts'
import type { Ideal } from '../practice/ideal.ts'
import { describeOpening } from '../tips/index.ts'
import { escapeText, mm, type Stamp } from './page.ts'

/** Room for the words under a drill, mm. */
const WORDS_MM = 8
/** Numbers stand so far beside where a stroke begins, mm. */
const NUMBER_MM = 3.2
/** Discs nearer to each other than this share of their width show no edge between them. */
const NEAR_SHARE = 0.12
/** More numbers than this hide what they number. */
const MOST_NUMBERED = 16

/**
 * A drill at true size to lie under parchment: the edges of what should lie there, its middle line with the way it goes, a ring where
 * each stroke begins. Piped over, then scraped off and piped again.
 */
export function practiceStamp(ideal: Ideal): Stamp {
  const { drill } = ideal
  const shift = `translate(${mm(-drill.wide / 2)} ${mm(-(drill.high + WORDS_MM) / 2)})`
  const numbered = drill.strokes.length > 1 && drill.strokes.length <= MOST_NUMBERED
  const strokes = drill.strokes
    .map((stroke, k) => {
      const [first] = stroke.path
      const number = numbered
        ? `<text x="${mm(first!.x - NUMBER_MM)}" y="${mm(first!.y - NUMBER_MM)}" font-size="2.600">${k + 1}</text>`
        : ''
      return `${lineOf(stroke.path)}<circle cx="${mm(first!.x)}" cy="${mm(first!.y)}" r="0.800" fill="#fff" stroke="#000" stroke-width="0.3"/>${arrowOf(stroke.path)}${number}`
    })
    .join('')
  return {
    widthMm: drill.wide,
    heightMm: drill.high + WORDS_MM,
    svg:
      `<g transform="${shift}">${nailOf(drill)}<g fill="#e4e4e4" stroke="none">${edgesOf(ideal)}</g>${strokes}` +
      `<text x="2" y="${mm(drill.high + 3)}" font-size="3.200" font-weight="bold">${escapeText(drill.label)}</text>` +
      `<text x="2" y="${mm(drill.high + 6.6)}" font-size="2.600">${escapeText(`${describeOpening(drill.opening)}, ${drill.stiffness}`)}</text></g>`,
  }
}

/** Where icing should lie: what the ideal laid, seen from above. */
function edgesOf({ laid }: Ideal): string {
  let last: Point | null = null
  return laid
    .flatMap((bit) => {
      if (bit.gap || bit.widthMm <= 0 || bit.kind === 'tail') return []
      const near = last && Math.hypot(bit.x - last.x, bit.y - last.y) < NEAR_SHARE * bit.widthMm
      if (near && bit.kind === 'rope') return []
      last = bit
      return [`<circle cx="${mm(bit.x)}" cy="${mm(bit.y)}" r="${mm(bit.widthMm / 2)}"/>`]
    })
    .join('')
}

const lineOf = (path: readonly Point[]): string =>
  path.length < 2
    ? ''
    : `<path d="M${path
        .filter((_, i) => i % 4 === 0 || i === path.length - 1)
        .map((p) => `${mm(p.x)} ${mm(p.y)}`)
        .join('L')}" fill="none" stroke="#555" stroke-width="0.25" stroke-dasharray="1.500 1"/>`

/** The way a stroke goes, at a third of it. */
function arrowOf(path: readonly Point[]): string {
  if (path.length < 12) return ''
  const [at, next] = [pointAt(path, 0.3), pointAt(path, 0.34)]
  const turn = (Math.atan2(next.y - at.y, next.x - at.x) * 180) / Math.PI
  return `<path d="M-1.200 -0.900L0.600 0L-1.200 0.900Z" transform="translate(${mm(at.x)} ${mm(at.y)}) rotate(${mm(turn)})"/>`
}

function nailOf({ nail }: Drill): string {
  if (!nail) return ''
  const { middle, radiusMm } = nail
  return (
    `<circle cx="${mm(middle.x)}" cy="${mm(middle.y)}" r="${mm(radiusMm)}" fill="none" stroke="#999" stroke-width="0.25"/>` +
    `<path d="M${mm(middle.x - 2)} ${mm(middle.y)}h4m-2 -2v4" stroke="#000" stroke-width="0.25"/>`
  )
}
