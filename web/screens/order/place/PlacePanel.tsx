import { Button, SegmentedControl, Select, Slider } from '@mantine/core'
import { useState } from 'react'
import { layoutSchema } from '#core/model/layout'
import { turnWhole } from '#core/placing/byHand'
import type { Finding } from '#core/placing/findings/finding'
import { remedied } from '#core/placing/remedies'
import { schoolOf, schools } from '#core/placing/schools/index'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import type { DrawnLine } from './drawnLines.ts'
import { KeptFreeList } from './KeptFree.tsx'
import { LineList } from './Lines.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
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

function SchoolPanel(props: { placing: Placing; onPoint: (finding: Finding | null) => void }) {
  const { placing, onPoint } = props
  const { layout, hand, judgement, lay } = placing
  const fits = schools.filter((s) => (s.id !== 'path' || layout.path.length > 1) && s.suits(hand.chart))
  const fullness = layout.fullness ?? judgement?.fullness ?? schoolOf(layout.schoolId).fullness
  const findings = judgement?.findings ?? []
  const toDecide = findings.filter((f) => f.severity === 'decide').length
  return (
    <>
      <Select
        label="Placed as"
        value={layout.schoolId}
        data={fits.map((s) => ({ value: s.id, label: s.label }))}
        onChange={(schoolId) =>
          schoolId && lay(`place as ${schoolOf(schoolId).label.toLowerCase()}`, { schoolId })
        }
      />
      <Button loading={placing.laying} onClick={() => lay('another like this', { seed: layout.seed + 1 })}>
        Another like this
      </Button>
      <Amount
        label="Fullness"
        from="airy"
        to="packed"
        value={fullness}
        min={0.2}
        max={1.1}
        onEnd={(value) => lay('fullness', { fullness: value })}
      />
      <Amount
        label="Large to small"
        from="even"
        to="graded"
        value={layout.grading}
        min={0}
        max={1}
        onEnd={(grading) => lay('large to small', { grading })}
      />
      <NumberField
        label="All of it turned"
        unit="°"
        step={5}
        value={Math.round(layout.turnDeg)}
        schema={layoutSchema.shape.turnDeg.unwrap()}
        onChange={(deg) =>
          placing.change(
            'turn all',
            (now) => turnWhole(now, deg - now.layout.turnDeg),
            `${layout.id} turn all`,
          )
        }
      />
      <div className={css.panelHead}>
        <h3>How it sits</h3>
        {toDecide > 0 && (
          <span className={css.wants}>
            <FlagMark /> {toDecide} to decide
          </span>
        )}
      </div>
      {judgement && (
        <p className="quiet">
          {Math.round(100 * judgement.covered)} % of its ground is covered.
          {findings.length === 0 && ' Nothing stands in anything’s way.'}
        </p>
      )}
      <ul className={css.findings}>
        {findings.slice(0, MOST_SHOWN).map((finding) => (
          <li
            key={finding.key}
            className={`${css.finding} ${finding.severity === 'note' ? css.findingNote : ''}`}
            onPointerEnter={() => onPoint(finding)}
            onPointerLeave={() => onPoint(null)}
            onFocus={() => onPoint(finding)}
            onBlur={() => onPoint(null)}
          >
            {finding.severity === 'decide' && (
              <span className={css.findingMark}>
                <FlagMark />
              </span>
            )}
            <p>{finding.words}</p>
            <div className={css.remedies}>
              {finding.remedies.map((remedy) => (
                <Button
                  key={remedy.label}
                  onClick={() =>
                    remedy.kind === 'fit'
                      ? lay(remedy.label, { fullness: remedy.fullness })
                      : placing.change(remedy.label, (now) => remedied(now, remedy, newId))
                  }
                >
                  {remedy.label}
                </Button>
              ))}
              <Button
                variant="subtle"
                onClick={() =>
                  placing.change('leave it', (now) => ({
                    ...now.layout,
                    waved: [...now.layout.waved, finding.key],
                  }))
                }
              >
                Leave it
              </Button>
            </div>
          </li>
        ))}
      </ul>
      {findings.length > MOST_SHOWN && <p className="quiet">and {findings.length - MOST_SHOWN} more</p>}
      {layout.waved.length > 0 && (
        <Button
          variant="subtle"
          onClick={() => placing.change('say it all again', (now) => ({ ...now.layout, waved: [] }))}
        >
          Say again what was left: {layout.waved.length}
        </Button>
      )}
    </>
  )
}

const MOST_SHOWN = 8

function Amount(props: {
  label: string
  from: string
  to: string
  value: number
  min: number
  max: number
  onEnd: (value: number) => void
}) {
  const { label, value, onEnd } = props
  const [moved, setMoved] = useState<number | null>(null)
  const shown = moved ?? value
  return (
    <div className={css.slider}>
      <div className={css.sliderHead}>
        <span>{label}</span>
        <strong className="figure">{shown.toFixed(2)}</strong>
      </div>
      <Slider
        thumbLabel={label}
        label={null}
        value={shown}
        min={props.min}
        max={props.max}
        step={0.05}
        onChange={setMoved}
        onChangeEnd={(end) => {
          setMoved(null)
          onEnd(Number(end.toFixed(2)))
        }}
      />
      <div className={css.ends}>
        <span>{props.from}</span>
        <span>{props.to}</span>
      </div>
    </div>
  )
}
