import worker from 'pdfjs-dist/legacy/build/pdf.worker.min.mjs?url'

/** Points of a PDF to a millimetre, exact by definition. */
const PT_PER_MM = 72 / 25.4

export interface PdfPage {
  /** Counted from 1. */
  number: number
  widthMm: number
  heightMm: number
}

/** An opened PDF. */
export interface OpenPdf {
  /** Number and size of each page, mm. */
  pages: PdfPage[]
  /** Draws a page, so many pixels to a millimetre. */
  draw(page: PdfPage, canvas: HTMLCanvasElement, pxPerMm: number): Promise<void>
  close(): void
}

/** Opens a PDF for looking at; the reader is loaded only where something is printed. */
export async function openPdf(data: ArrayBuffer): Promise<OpenPdf> {
  const reader = await import('pdfjs-dist/legacy/build/pdf.mjs')
  reader.GlobalWorkerOptions.workerSrc = worker
  // it takes the bytes away from whoever hands them over
  const loading = reader.getDocument({ data: data.slice(0) })
  const pdf = await loading.promise
  const pages = await Promise.all(Array.from({ length: pdf.numPages }, (_, i) => pdf.getPage(i + 1)))
  return {
    pages: pages.map((page, i) => {
      const { width, height } = page.getViewport({ scale: 1 })
      return { number: i + 1, widthMm: width / PT_PER_MM, heightMm: height / PT_PER_MM }
    }),
    async draw({ number }, canvas, pxPerMm) {
      const page = pages[number - 1]!
      const viewport = page.getViewport({ scale: pxPerMm / PT_PER_MM })
      canvas.width = Math.round(viewport.width)
      canvas.height = Math.round(viewport.height)
      await page.render({ canvas, viewport }).promise
    },
    close: () => void loading.destroy(),
  }
}
