import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { mm } from '#core/guides/page'
import type { Block, Cell, Drawing, Print } from '#core/prints/print'
import { familyName, printerFonts, stretches, TEXT_FAMILY, TITLE_FAMILY } from './fonts.ts'
import { withFonts } from './svgFonts.ts'

/** A point of a page in millimetres, exact by definition. */
const PT_PER_MM = 72 / 25.4
const MARGIN_PT = 10 * PT_PER_MM
/** Room for the title and the line that is measured, on every page. */
const TOP_PT = 26 * PT_PER_MM
const TICK_MM = 3.6
const DAB_MM = 4

/** A print as PDF, fonts embedded, true to size; the same print gives the same bytes but for the time in it. */
export async function pdfOf(print: Print): Promise<Uint8Array> {
  // loads in a quarter of a second: only where something is printed
  const { default: printer } = await import('pdfmake')
  const fonts = printerFonts()
  printer.setFonts(fonts)
  const files = new Set(Object.values(fonts).flatMap(({ normal, bold }) => [normal, bold]))
  // everything that is printed is at hand: nothing is fetched, and no other file is read
  printer.setUrlAccessPolicy(() => false)
  printer.setLocalAccessPolicy((path: string) => files.has(path))
  return await printer.createPdf(print.kind === 'pages' ? drawn(print) : flowing(print)).getBuffer()
}

const about = ({ title }: Print): Pick<TDocumentDefinitions, 'info' | 'defaultStyle'> => ({
  info: { title, creator: 'Kanten', producer: 'Kanten' },
  defaultStyle: { font: TEXT_FAMILY, fontSize: 9.5, lineHeight: 1.15 },
})

function drawn(print: Print & { kind: 'pages' }): TDocumentDefinitions {
  const [first] = print.pages
  const { widthMm, heightMm } = first ?? { widthMm: 210, heightMm: 297 }
  return {
    ...about(print),
    pageSize: { width: widthMm * PT_PER_MM, height: heightMm * PT_PER_MM },
    pageMargins: 0,
    content: print.pages.map(
      (page, i): Content => ({
        svg: withFonts(page.svg),
        width: page.widthMm * PT_PER_MM,
        ...(i > 0 ? { pageBreak: 'before' as const } : {}),
      }),
    ),
  }
}

function flowing(print: Print & { kind: 'blocks' }): TDocumentDefinitions {
  return {
    ...about(print),
    pageSize: 'A4',
    pageMargins: [MARGIN_PT, TOP_PT, MARGIN_PT, 14 * PT_PER_MM],
    header: () => ({
      margin: [MARGIN_PT, 8 * PT_PER_MM, MARGIN_PT, 0],
      stack: [
        { text: runs(print.title, 'title'), font: TITLE_FAMILY, bold: true, fontSize: 13 },
        { svg: RULER, width: 190 * PT_PER_MM },
      ],
    }),
    footer: (page: number, pages: number) => ({
      text: `${page} of ${pages}`,
      margin: [MARGIN_PT, 4 * PT_PER_MM, MARGIN_PT, 0],
      alignment: 'right',
      color: '#666666',
      fontSize: 8,
    }),
    content: joined(print.blocks).map(blockOf),
  }
}

const RULER =
  `<svg xmlns="http://www.w3.org/2000/svg" width="190" height="6" viewBox="0 0 190 6">` +
  `<path d="M0.2 3h100m-100 -1.500v3m100 -3v3" stroke="#000" stroke-width="0.3" fill="none"/>` +
  `<text x="103" y="4" font-family="${TEXT_FAMILY}" font-size="2.800">this line is 100 mm: print at 100 %, not fitted to the page</text></svg>`

/** Blocks with each heading taken into the table that follows it: it does not stand alone at the foot of a page. */
function joined(blocks: readonly Block[]): (Block & { over?: Block & { kind: 'heading' } })[] {
  return blocks.flatMap((block, i) => {
    const [before, next] = [blocks[i - 1], blocks[i + 1]]
    if (block.kind === 'heading' && next?.kind === 'table') return []
    return [block.kind === 'table' && before?.kind === 'heading' ? { ...block, over: before } : block]
  })
}

const headingOf = ({ text }: Block & { kind: 'heading' }) => ({
  ...{ text: runs(text, 'title'), font: TITLE_FAMILY, bold: true, fontSize: 14 },
})

function blockOf(block: Block & { over?: Block & { kind: 'heading' } }): Content {
  switch (block.kind) {
    case 'heading':
      return {
        ...headingOf(block),
        margin: [0, 10, 0, 4],
        ...(block.newPage ? { pageBreak: 'before' as const } : {}),
      }
    case 'words':
      return {
        text: runs(block.text, 'text'),
        margin: [0, 0, 0, 6],
        color: block.quiet ? '#666666' : '#191919',
      }
    case 'drawing':
      return { ...drawingOf(block.drawing), margin: [0, 8, 0, 8] }
    case 'table': {
      const { over } = block
      const columns = block.head.length
      const heads = over ? 2 : 1
      return {
        margin: [0, 6, 0, 8],
        ...(over?.newPage ? { pageBreak: 'before' as const } : {}),
        table: {
          headerRows: heads,
          keepWithHeaderRows: 1,
          dontBreakRows: true,
          widths: block.widths.map((w) => (w === 'least' ? 'auto' : '*')),
          body: [
            ...(over
              ? [[{ ...headingOf(over), colSpan: columns }, ...Array<TableCell>(columns - 1).fill('')]]
              : []),
            block.head.map(
              (text): TableCell => ({ text: runs(text, 'text'), color: '#666666', fontSize: 8 }),
            ),
            ...block.rows.map((row) => row.map(cellOf)),
          ],
        },
        layout: {
          hLineWidth: (i, node) => (i < heads || i === node.table.body.length ? 0 : 0.5),
          vLineWidth: () => 0,
          hLineColor: () => '#c8c8c8',
          paddingLeft: (i) => (i === 0 ? 0 : 5),
          paddingRight: () => 5,
          paddingTop: () => 3,
          paddingBottom: () => 3,
        },
      }
    }
  }
}

function cellOf(cell: Cell): TableCell {
  switch (cell.kind) {
    case 'words':
      return {
        text: runs(cell.text, cell.strong ? 'strong' : 'text'),
        bold: cell.strong ?? false,
        color: cell.quiet ? '#666666' : '#191919',
        alignment: cell.right ? 'right' : 'left',
      }
    case 'tick':
      return drawingOf({
        ...{ widthMm: TICK_MM, heightMm: TICK_MM },
        svg: `<rect x="0.2" y="0.2" width="${TICK_MM - 0.4}" height="${TICK_MM - 0.4}" fill="none" stroke="#000" stroke-width="0.3"/>`,
      })
    case 'colours':
      return drawingOf({
        ...{ widthMm: Math.max(1, cell.hexes.length) * DAB_MM, heightMm: DAB_MM },
        svg: cell.hexes
          .map(
            (hex, i) =>
              `<rect x="${i * DAB_MM + 0.2}" y="0.2" width="${DAB_MM - 0.6}" height="${DAB_MM - 0.6}" fill="${hex}" stroke="#000" stroke-width="0.15"/>`,
          )
          .join(''),
      })
    case 'drawing':
      return drawingOf(cell.drawing)
  }
}

function drawingOf({ widthMm, heightMm, svg }: Drawing) {
  const [width, height] = [mm(widthMm), mm(heightMm)]
  const whole = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" font-family="sans-serif">${svg}</svg>`
  return { svg: withFonts(whole), width: widthMm * PT_PER_MM }
}

/** Text with the letters that the first file of a face does not have set from another. */
function runs(text: string, face: 'title' | 'text' | 'strong') {
  const family = face === 'title' ? TITLE_FAMILY : TEXT_FAMILY
  return stretches(text, face).map((s) => ({ text: s.text, font: familyName(family, s.file) }))
}
