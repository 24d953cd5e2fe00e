import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** Points of a PDF to a millimetre, exact by definition. */
const PT_PER_MM = 72 / 25.4

type Matrix = [number, number, number, number, number, number]
const times = (m: Matrix, n: Matrix): Matrix => [
  m[0] * n[0] + m[2] * n[1],
  m[1] * n[0] + m[3] * n[1],
  m[0] * n[2] + m[2] * n[3],
  m[1] * n[2] + m[3] * n[3],
  m[0] * n[4] + m[2] * n[5] + m[4],
  m[1] * n[4] + m[3] * n[5] + m[5],
]

export interface ReadPage {
  widthMm: number
  heightMm: number
  text: string
  /** Boxes round everything that is drawn with lines, mm. */
  boxes: { widthMm: number; heightMm: number }[]
  /** Fonts that it is set in, and whether each travels with it. */
  fonts: { name: string; embedded: boolean }[]
}

/** A PDF as another program reads it: sizes, words, what is drawn and how large. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const loading = getDocument({ data: Uint8Array.from(bytes), verbosity: 0 })
  const pdf = await loading.promise
  const pages: ReadPage[] = []
  for (let number = 1; number <= pdf.numPages; number++) {
    const page = await pdf.getPage(number)
    const { width, height } = page.getViewport({ scale: 1 })
    const { items } = await page.getTextContent()
    const { fnArray, argsArray } = await page.getOperatorList()
    const boxes: ReadPage['boxes'] = []
    const fonts = new Map<string, boolean>()
    let ctm: Matrix = [1, 0, 0, 1, 0, 0]
    const kept: Matrix[] = []
    fnArray.forEach((fn: number, i: number) => {
      const args = argsArray[i]
      if (fn === OPS.save) kept.push(ctm)
      if (fn === OPS.restore) ctm = kept.pop()!
      if (fn === OPS.transform) ctm = times(ctm, args as Matrix)
      if (fn === OPS.setFont) {
        const font = page.commonObjs.get(args[0]) as { name: string; missingFile: boolean }
        fonts.set(font.name, !font.missingFile)
      }
      if (fn === OPS.constructPath && args[2]) {
        const [left, low, right, high] = args[2] as [number, number, number, number]
        const corners = [
          [left, low],
          [right, low],
          [left, high],
          [right, high],
        ].map(([x, y]) => [ctm[0] * x! + ctm[2] * y! + ctm[4], ctm[1] * x! + ctm[3] * y! + ctm[5]])
        const span = (axis: 0 | 1) =>
          (Math.max(...corners.map((c) => c[axis]!)) - Math.min(...corners.map((c) => c[axis]!))) / PT_PER_MM
        boxes.push({ widthMm: span(0), heightMm: span(1) })
      }
    })
    pages.push({
      ...{ widthMm: width / PT_PER_MM, heightMm: height / PT_PER_MM, boxes },
      text: items.map((item) => ('str' in item ? item.str : '')).join(' '),
      fonts: [...fonts].map(([name, embedded]) => ({ name, embedded })),
    })
  }
  await loading.destroy()
  return pages
}
