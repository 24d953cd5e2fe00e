import { useEffect, useRef, useState } from 'react'
import { Failed, Loading } from '../parts/states.tsx'
import css from './PdfPages.module.css'
import { type OpenPdf, openPdf, type PdfPage as Page } from './pdf.ts'

/** Further pages are not drawn until somebody asks for them: a run of labels can be hundreds. */
const SHOWN_AT_FIRST = 24

/** The pages of a PDF as they come out of the printer. */
export function PdfPages(props: {
  pdf: ArrayBuffer
  title: string
  pxPerMm: (widthMm: number) => number
  strip?: boolean
}) {
  const { pdf, title, pxPerMm, strip } = props
  const [open, setOpen] = useState<OpenPdf | null>(null)
  const [trouble, setTrouble] = useState<Error | null>(null)
  const [most, setMost] = useState(SHOWN_AT_FIRST)
  useEffect(() => {
    let here = true
    let mine: OpenPdf | null = null
    setTrouble(null)
    openPdf(pdf).then(
      (opened) => {
        mine = opened
        if (here) setOpen(opened)
        else opened.close()
      },
      (error: Error) => here && setTrouble(error),
    )
    return () => {
      here = false
      mine?.close()
    }
  }, [pdf])
  if (trouble) return <Failed what="The preview" error={trouble} />
  if (!open) return <Loading what="the preview" />
  return (
    <div className={strip ? css.strip : css.pages}>
      {open.pages.slice(0, most).map((page) => (
        <PdfPage
          key={page.number}
          open={open}
          page={page}
          label={`${title}, ${open.pages.length > 1 ? `page ${page.number} of ${open.pages.length}` : 'one page'}`}
          pxPerMm={pxPerMm(page.widthMm)}
        />
      ))}
      {open.pages.length > most && (
        <button type="button" className={css.more} onClick={() => setMost(open.pages.length)}>
          Show all {open.pages.length} pages
        </button>
      )}
    </div>
  )
}

function PdfPage(props: { open: OpenPdf; page: Page; label: string; pxPerMm: number }) {
  const { open, page, label, pxPerMm } = props
  const ref = useRef<HTMLCanvasElement>(null)
  const { widthMm, heightMm } = page
  useEffect(() => {
    // whoever leaves while it is drawn needs no picture any more
    if (ref.current) open.draw(page, ref.current, pxPerMm * window.devicePixelRatio).catch(() => undefined)
  }, [open, page, pxPerMm])
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={label}
      className={css.page}
      style={{ width: widthMm * pxPerMm, height: heightMm * pxPerMm }}
    />
  )
}
