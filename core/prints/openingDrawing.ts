import { openingPath } from '../guides/opening.ts'
import { mm } from '../guides/page.ts'
import type { Opening } from '../tips/index.ts'
import type { Drawing } from './print.ts'

/** An opening end-on at true size. */
export function openingDrawing(opening: Opening): Drawing {
  const { d, widthMm, heightMm } = openingPath(opening)
  return {
    ...{ widthMm, heightMm },
    svg: `<path d="${d}" transform="translate(${mm(widthMm / 2)} ${mm(heightMm / 2)})" fill="#000"/>`,
  }
}
