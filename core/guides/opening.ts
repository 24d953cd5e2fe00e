import { type Opening, openingOutlines } from '../tips/index.ts'
import { mm } from './page.ts'

/** An opening seen end-on at true size, its middle at the origin, y down as pages have it. */
export function openingPath(opening: Opening): { d: string; widthMm: number; heightMm: number } {
  const outlines = openingOutlines(opening)
  const points = outlines.flat()
  const [left, right] = [Math.min(...points.map((p) => p[0])), Math.max(...points.map((p) => p[0]))]
  const [low, high] = [Math.min(...points.map((p) => p[1])), Math.max(...points.map((p) => p[1]))]
  const at = ([x, y]: readonly [number, number]) =>
    `${mm(x - (left + right) / 2)} ${mm(-(y - (low + high) / 2))}`
  return {
    d: outlines.map((o) => `M${o.map(at).join('L')}Z`).join(''),
    widthMm: right - left,
    heightMm: high - low,
  }
}
