import { layPages, mm } from '../guides/page.ts'
import { drawLabel, type Label } from './label.ts'
import { nothing, type Page, type Print } from './print.ts'
import type { PrintOf } from './printOf.ts'
import { lineSvg } from './type.ts'

/** A whole number of these fits on the first label of a roll, to find out a printer that scales. */
const CHECK_STEP_MM = 10

/** Labels as pages: each a page of its own off a roll, or many to be cut from an A4 page. */
export function labelPages(title: string, labels: readonly Label[], { media, measure }: PrintOf): Print {
  const { widthMm, heightMm, on } = media
  const drawn = labels.map((label) => drawLabel(label, widthMm, heightMm, measure))
  const crowded = drawn.filter((d) => d.leftOut).length
  const notes =
    crowded > 0
      ? [`${crowded} of ${labels.length} labels have no room for all of their words: take larger labels.`]
      : []
  if (labels.length === 0) return nothing(title, 'There is nothing to label.')
  if (on === 'roll')
    return {
      ...{ kind: 'pages', title, notes },
      pages: [
        { ...media, svg: svg(widthMm, heightMm, checkLine(title, widthMm, heightMm)) },
        ...drawn.map((d): Page => ({ widthMm, heightMm, svg: svg(widthMm, heightMm, d.svg) })),
      ],
    }
  const frame = `<rect width="${mm(widthMm)}" height="${mm(heightMm)}" fill="none" stroke="#999" stroke-width="0.15"/>`
  const stamps = drawn.map((d) => ({
    ...{ widthMm, heightMm },
    svg: `<g transform="translate(${mm(-widthMm / 2)} ${mm(-heightMm / 2)})">${frame}${d.svg}</g>`,
  }))
  return { kind: 'pages', title, notes, pages: layPages(stamps, title).map(a4) }
}

/** A page of A4 that is drawn already. */
export const a4 = (drawn: string): Page => ({ widthMm: 210, heightMm: 297, svg: drawn })

const svg = (widthMm: number, heightMm: number, body: string) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(widthMm)}mm" height="${mm(heightMm)}mm" viewBox="0 0 ${mm(widthMm)} ${mm(heightMm)}">${body}</svg>`

function checkLine(title: string, widthMm: number, heightMm: number): string {
  const long = Math.floor((widthMm - 4) / CHECK_STEP_MM) * CHECK_STEP_MM
  const [x, y] = [(widthMm - long) / 2, heightMm * 0.62]
  return (
    lineSvg(title, widthMm / 2, heightMm * 0.32, 'strong', 3.4, 'middle') +
    `<path d="M${mm(x)} ${mm(y)}h${long}m${-long} -1.5v3m${long} -3v3" stroke="#000" stroke-width="0.3" fill="none"/>` +
    lineSvg(`this line is ${long} mm: print at 100 %`, widthMm / 2, y + 5, 'text', 2.6, 'middle')
  )
}
