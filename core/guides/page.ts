/** A4 in millimetres, and the margin printers need. */
export const PAGE = { widthMm: 210, heightMm: 297, marginMm: 10 }

/** Room to cut in; three squares for a nail of 50 mm still stand side by side. */
export const GAP_MM = 5

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

/** Neighbouring tiles share so much, to be laid on each other by. */
const LAP_MM = 10

/**
 * A drawing of any size at true size, cut into pages that lap over each other, each with its row and column; what `wanted` says
 * has nothing on it is not printed.
 * @param wanted whether there is anything in a part of the drawing: its left, top, width and height, mm from the drawing's middle.
 */
export function tilePages(
  stamp: Stamp,
  title: string,
  wanted: (left: number, top: number, width: number, height: number) => boolean,
): string[] {
  const { widthMm, heightMm, marginMm } = PAGE
  const head = marginMm + 14
  const [wide, high] = [widthMm - 2 * marginMm, heightMm - head - marginMm]
  const columns = Math.max(1, Math.ceil((stamp.widthMm - LAP_MM) / (wide - LAP_MM)))
  const rows = Math.max(1, Math.ceil((stamp.heightMm - LAP_MM) / (high - LAP_MM)))
  // the drawing in the middle of all its tiles
  const left = -(columns * (wide - LAP_MM) + LAP_MM) / 2
  const top = -(rows * (high - LAP_MM) + LAP_MM) / 2
  const marks = joiningMarks({ left, top, wide, high, columns, rows })
  const pages: string[] = []
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const [x, y] = [left + column * (wide - LAP_MM), top + row * (high - LAP_MM)]
      if (!wanted(x, y, wide, high)) continue
      const name = rows * columns > 1 ? `${title}: row ${row + 1}, column ${column + 1}` : title
      const frame = `<rect x="${marginMm}" y="${head}" width="${mm(wide)}" height="${mm(high)}"`
      pages.push(
        sheet(
          `<clipPath id="tile">${frame}/></clipPath>${frame} fill="none" stroke="#999" stroke-width="0.2" stroke-dasharray="2 2"/>` +
            `<g clip-path="url(#tile)"><g transform="translate(${mm(marginMm - x)} ${mm(head - y)})">${stamp.svg}${marks}</g></g>`,
          name,
        ),
      )
    }
  return pages
}

/** Marks are so far apart along a lap, and so long, mm. */
const MARK_EVERY_MM = 60
const MARK_MM = 3

/** Crosses in the middle of every lap, on both pages that share it: laid on each other, the pages are joined. */
function joiningMarks(of: {
  left: number
  top: number
  wide: number
  high: number
  columns: number
  rows: number
}): string {
  const { left, top, wide, high, columns, rows } = of
  const cross = (x: number, y: number) =>
    `M${mm(x - MARK_MM)} ${mm(y)}h${2 * MARK_MM}M${mm(x)} ${mm(y - MARK_MM)}v${2 * MARK_MM}`
  const along = (from: number, length: number) =>
    Array.from(
      { length: Math.max(1, Math.floor(length / MARK_EVERY_MM)) },
      (_, i) => from + MARK_EVERY_MM * (i + 0.5),
    )
  const [across, down] = [columns * (wide - LAP_MM) + LAP_MM, rows * (high - LAP_MM) + LAP_MM]
  let d = ''
  for (let c = 1; c < columns; c++)
    for (const y of along(top, down)) d += cross(left + c * (wide - LAP_MM) + LAP_MM / 2, y)
  for (let r = 1; r < rows; r++)
    for (const x of along(left, across)) d += cross(x, top + r * (high - LAP_MM) + LAP_MM / 2)
  return d === '' ? '' : `<path d="${d}" fill="none" stroke="#000" stroke-width="0.2"/>`
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
