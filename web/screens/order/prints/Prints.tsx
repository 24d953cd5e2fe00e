import { Button, SegmentedControl } from '@mantine/core'
import { useElementSize } from '@mantine/hooks'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { LabelMedia } from '#core/model/labels'
import { labelKinds, type PrintKind, printKinds, printWords } from '#core/prints/kinds'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { printPath, usePrint } from '../../../data/prints.ts'
import { useRunOf } from '../../../data/runs.ts'
import { useSaving } from '../../../data/useDocument.ts'
import { Card } from '../../../parts/Card.tsx'
import { tell } from '../../../parts/notify.tsx'
import { CSS_PX_PER_MM, useScreenScale } from '../../../parts/screenScale.ts'
import { Empty, Failed, Loading } from '../../../parts/states.tsx'
import { PdfPages } from '../../../prints/PdfPages.tsx'
import { type PrintJob, printersFor } from '../../../prints/printers.ts'
import { LabelSize } from './LabelSize.tsx'
import { Offer } from './Offer.tsx'
import css from './Prints.module.css'

/** Everything that is printed for an order, each looked at before it is put on paper. */
export function Prints() {
  const { kind } = useParams()
  const { order, plan, faults } = useOrderEditor()
  const shown = (printKinds as readonly string[]).includes(kind ?? '') ? (kind as PrintKind) : 'bagLabels'
  if (!plan && faults.length === 0) return <Loading what="the prints" />
  if (!plan || plan.totals.pieces === 0)
    return (
      <Empty title="Nothing to print yet">
        Labels, guides and lists follow from the plan. Put pieces and flowers into the order first.
      </Empty>
    )
  return (
    <div className={css.page}>
      <nav aria-label="Prints" className={css.kinds}>
        {printKinds.map((k) => (
          <Link
            key={k}
            to={`/orders/${order.id}/bench/prints/${k}`}
            aria-current={k === shown ? 'page' : undefined}
          >
            <strong>{printWords[k].name}</strong>
            <span>{printWords[k].about}</span>
          </Link>
        ))}
      </nav>
      <One key={shown} kind={shown} />
    </div>
  )
}

/** A page is shown no larger than it is, and no wider than there is room for. */
const MOST_PX_PER_MM = CSS_PX_PER_MM
/** What the preview's edges and its scroll bar take. */
const BESIDE_PX = 42

function One({ kind }: { kind: PrintKind }) {
  const { order, workshop, sync } = useOrderEditor()
  const save = useSaving(sync)
  const { run } = useRunOf(order.id)
  const { ref, width } = useElementSize()
  const { pxPerMm } = useScreenScale()
  const [media, setMedia] = useState<LabelMedia>(workshop.settings.labels)
  const [strip, setStrip] = useState<PrintJob | null>(null)
  const isLabel = labelKinds.includes(kind)
  const printers = printersFor(setStrip).filter((p) => isLabel || !p.labelsOnly)
  const [printerId, setPrinter] = useState('browser')
  const printer = printers.find((p) => p.id === printerId) ?? printers[0]!
  const asPrinted = printer.id === 'simulated' ? { ...media, on: 'roll' as const } : media
  const path = printPath(order.id, kind, asPrinted)
  const { settings } = workshop
  const { data, error, isLoading } = usePrint(
    path,
    // a plan that is still on its way to the server is not on paper yet
    save.kind === 'saved' ? [order, settings.boxWords, settings.keepWords, run?.version ?? null] : null,
  )
  const { name } = printWords[kind]
  const title = `${name}: ${order.title}`
  const trueSize = pxPerMm ?? CSS_PX_PER_MM
  return (
    <Card
      title={name}
      aside={run && kind !== 'quote' ? 'as work on it began' : undefined}
      actions={
        <>
          <Button component="a" href={`/api${path}`} target="_blank" rel="noreferrer">
            Open as PDF
          </Button>
          <Button
            variant="filled"
            disabled={!data}
            onClick={() => {
              try {
                if (data) printer.print({ pdf: data.pdf, title })
              } catch (failed) {
                tell((failed as Error).message)
              }
            }}
          >
            Print
          </Button>
        </>
      }
    >
      {isLabel && <LabelSize media={media} fixedRoll={printer.id === 'simulated'} onChange={setMedia} />}
      {printers.length > 1 && (
        <div className={css.printer}>
          <SegmentedControl
            aria-label="Printer"
            value={printer.id}
            onChange={setPrinter}
            data={printers.map((p) => ({ value: p.id, label: p.name }))}
          />
          <span className="quiet">{printer.about}</span>
        </div>
      )}
      {kind === 'quote' && <Offer />}
      {kind === 'boxLabels' && (
        <p className="quiet">
          Kanten knows the icing and what is put on, not the cake itself. What a label must say is for the
          rules where you sell: set its words below the settings.
        </p>
      )}
      {data?.notes.map((note) => (
        <p key={note} className={css.note}>
          {note}
        </p>
      ))}
      {strip && (
        <section className={css.strip} aria-label="The strip that came out">
          <header>
            <strong>The strip that came out</strong>
            <span className="quiet">
              {pxPerMm ? 'at true size' : 'near true size: measure the screen in the Drawer to make it exact'}
            </span>
            <Button onClick={() => setStrip(null)}>Tear it off</Button>
          </header>
          {/* biome-ignore lint/a11y/noNoninteractiveTabindex: the strip must be scrollable by keyboard */}
          <section className={css.roll} tabIndex={0} aria-label="Labels">
            <PdfPages pdf={strip.pdf} title={strip.title} pxPerMm={() => trueSize} strip />
          </section>
        </section>
      )}
      <div ref={ref} />
      {!strip && (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: pages must be scrollable by keyboard
        <section className={css.preview} tabIndex={0} aria-label="Preview">
          {error ? (
            <Failed what={name} error={error} />
          ) : data && width > 0 ? (
            <PdfPages
              pdf={data.pdf}
              title={title}
              pxPerMm={(wide) => Math.min(MOST_PX_PER_MM, (width - BESIDE_PX) / wide)}
            />
          ) : (
            isLoading && <Loading what={name.toLowerCase()} />
          )}
        </section>
      )}
    </Card>
  )
}
