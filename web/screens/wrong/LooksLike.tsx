import { Button } from '@mantine/core'
import { type ReactNode, useMemo, useState } from 'react'
import type { ResolvedLayer } from '#core/flowers/layers'
import type { BorderRun } from '#core/flowers/run'
import { type Cause, type FaultId, faults } from '#core/wrong/faults'
import { faultsOf } from '#core/wrong/index'
import { Card } from '../../parts/Card.tsx'
import { useWrongThumbnail } from '../../workers/thumbnails.ts'
import css from './LooksLike.module.css'

/** Leads from how it looks to why: by one picture, and one question where two causes look alike. */
export function LooksLike(props: {
  layers: readonly ResolvedLayer[]
  run: BorderRun | null
  /** The layer that is asked about; null for the whole flower. */
  layer: number | null
  colours: Readonly<Record<string, string>>
  /** Where to look further when it is none of these. */
  none: ReactNode
}) {
  const { layers, run, layer, colours, none } = props
  const [chosen, setChosen] = useState<FaultId | null>(null)
  const of = useMemo(() => ({ layers, run }), [layers, run])
  const found = useMemo(() => faultsOf(layers, layer, run), [layers, layer, run])
  if (chosen)
    return <Answer of={of} fault={chosen} colours={colours} back={() => setChosen(null)} key={chosen} />
  return (
    <Card title="Does yours look like this?">
      <div className={css.good}>
        <Shown of={of} fault={null} colours={colours} />
        <p>
          <strong>As it should be</strong>
          <br />
          <span className="quiet">from the recipe’s own strokes; below, the same strokes gone wrong</span>
        </p>
      </div>
      <ul className={css.looks}>
        {found.map((fault) => (
          <li key={fault}>
            <button type="button" onClick={() => setChosen(fault)}>
              <Shown of={of} fault={fault} colours={colours} />
              <strong>{faults[fault].look}</strong>
              <span className="quiet">{faults[fault].short}</span>
            </button>
          </li>
        ))}
        <li className={css.none}>None of these? {none}</li>
      </ul>
    </Card>
  )
}

interface Of {
  layers: readonly ResolvedLayer[]
  run: BorderRun | null
}

function Shown(props: { of: Of; fault: FaultId | null; colours: Readonly<Record<string, string>> }) {
  const url = useWrongThumbnail(props.of, props.fault, props.colours)
  return url ? <img src={url} alt="" className={css.picture} /> : <span className={css.picture} />
}

function Answer(props: {
  of: Of
  fault: FaultId
  colours: Readonly<Record<string, string>>
  back: () => void
}) {
  const { of, fault, colours, back } = props
  const { look, causes, ask, fine } = faults[fault]
  const [answer, setAnswer] = useState<number | null>(ask ? null : 0)
  const cause = answer === null ? undefined : causes[answer]
  return (
    <Card title={look} actions={<Button onClick={back}>All the looks</Button>}>
      <div className={css.pair}>
        <figure>
          <Shown of={of} fault={null} colours={colours} />
          <figcaption>as it should be</figcaption>
        </figure>
        <figure>
          <Shown of={of} fault={fault} colours={colours} />
          <figcaption>gone wrong</figcaption>
        </figure>
      </div>
      {ask && (
        <fieldset className={css.ask}>
          <legend>{ask}</legend>
          {['Yes', 'No'].map((word, i) => (
            <Button
              key={word}
              variant={answer === i ? 'filled' : 'outline'}
              aria-pressed={answer === i}
              onClick={() => setAnswer(i)}
            >
              {word}
            </Button>
          ))}
        </fieldset>
      )}
      <div aria-live="polite">{cause && <Said cause={cause} fine={fine} />}</div>
    </Card>
  )
}

const Said = ({ cause, fine }: { cause: Cause; fine: string | null }) => (
  <dl className={css.said}>
    <dt>why</dt>
    <dd>{cause.why}</dd>
    <dt>now</dt>
    <dd>{cause.now}</dd>
    <dt>next time</dt>
    <dd>{cause.next}</dd>
    {fine && (
      <>
        <dt>does not matter</dt>
        <dd>{fine}</dd>
      </>
    )}
  </dl>
)
