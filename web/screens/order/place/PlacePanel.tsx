import { SegmentedControl } from '@mantine/core'
import type { Finding } from '#core/placing/findings/finding'
import type { DrawnLine } from './drawnLines.ts'
import { KeptFreeList } from './KeptFree.tsx'
import { LineList } from './Lines.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import { SchoolPanel } from './SchoolPanel.tsx'
import { ToHideList } from './ToHide.tsx'
import type { Placing } from './usePlacing.ts'
import { type Measured, WishPanel } from './Wished.tsx'
import { WordsPanel } from './WordsPanel.tsx'

export type PanelPart = 'flowers' | 'words' | 'guide'

/** How the flowers are placed and sit, or what is written and kept free: one beside the views at a time. */
export function PlacePanel(props: {
  placing: Placing
  lettered: readonly LaidWords[]
  drawn: readonly DrawnLine[]
  part: PanelPart
  onPart: (part: PanelPart) => void
  onPoint: (finding: Finding | null) => void
  measured: Measured
  onMeasure: () => void
  onMeasured: () => void
}) {
  const { placing, lettered, part, onPart, onPoint } = props
  const { keepOuts, toHide } = placing.layout
  const besides = lettered.length + keepOuts.length + toHide.length + props.drawn.length
  return (
    <section className={css.panel} aria-label="How it is placed">
      <SegmentedControl
        fullWidth
        value={part}
        onChange={(next) => onPart(next as PanelPart)}
        data={[
          { value: 'flowers', label: 'Flowers' },
          { value: 'words', label: besides > 0 ? `Words, lines: ${besides}` : 'Words, lines' },
          { value: 'guide', label: 'Picture' },
        ]}
      />
      {part === 'flowers' && <SchoolPanel {...{ placing, onPoint }} />}
      {part === 'guide' && (
        <WishPanel
          {...{ placing }}
          {...{ measured: props.measured, onMeasure: props.onMeasure, onMeasured: props.onMeasured }}
        />
      )}
      {part === 'words' && (
        <>
          {besides === 0 && (
            <p className="quiet">
              Nothing is written, kept free or to be hidden. Press “Words” or “Free or hidden” above, then a
              place in a view.
            </p>
          )}
          <WordsPanel {...{ placing, lettered }} />
          <KeptFreeList placing={placing} />
          <ToHideList placing={placing} />
          <LineList placing={placing} drawn={props.drawn} />
        </>
      )}
    </section>
  )
}
