/** A4 in millimetres, and the margin printers need. */
export const PAGE = { widthMm: 210, heightMm: 297, marginMm: 10 }

const GAP_MM = 6

/** Something to lay on a page: its size, and its drawing with the origin at its own middle, in mm. */
export interface Stamp {
  widthMm: number
  heightMm: number
  svg: string
}

/**
 * True-size SVG pages with stamps laid in rows, as many pages as it takes. A line of exactly 100 mm stands on each,
 * so that a printer that scales is found out.
 * @throws RangeError when a stamp is larger than a page.
 */
export function layPages(stamps: readonly Stamp[], title: string): string[] {
  const { widthMm, heightMm, marginMm } = PAGE
  const top = marginMm + 14
  const pages: string[][] = [[]]
  let x = marginMm
  let y = top
  let row = 0
  for (const stamp of stamps) {
    if (stamp.widthMm > widthMm - 2 * marginMm || stamp.heightMm > heightMm - top - marginMm)
      throw new RangeError(`${title}: a drawing of ${Math.round(stamp.widthMm)} mm does not fit on the page.`)
    if (x + stamp.widthMm > widthMm - marginMm) {
      x = marginMm
      y += row + GAP_MM
      row = 0
    }
    if (y + stamp.heightMm > heightMm - marginMm) {
      pages.push([])
      x = marginMm
      y = top
      row = 0
    }
    const middle = `translate(${mm(x + stamp.widthMm / 2)} ${mm(y + stamp.heightMm / 2)})`
    pages.at(-1)!.push(`<g transform="${middle}">${stamp.svg}</g>`)
    x += stamp.widthMm + GAP_MM
    row = Math.max(row, stamp.heightMm)
  }
  return pages.map((drawn, i) =>
    sheet(drawn.join(''), `${title}${pages.length > 1 ? `, ${i + 1} of ${pages.length}` : ''}`),
  )
}

function sheet(body: string, title: string): string {
  const { widthMm, heightMm, marginMm } = PAGE
  const ruler = `<path d="M${marginMm} ${marginMm + 8}h100m-100 -1.500v3m100 -3v3" stroke="#000" stroke-width="0.3" fill="none"/>`
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}" font-family="sans-serif">` +
    `<title>${escapeText(title)}</title>` +
    `<text x="${marginMm}" y="${marginMm + 4}" font-size="4.2" font-weight="bold">${escapeText(title)}</text>` +
    ruler +
    `<text x="${marginMm + 103}" y="${marginMm + 9}" font-size="3">this line is 100 mm: print at 100 %, not fitted to the page</text>` +
    `${body}</svg>`
  )
}

/** A number of millimetres for SVG, to a hundredth. */
export const mm = (value: number): string => String(Math.round(value * 100) / 100)

export function escapeText(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;')
}
