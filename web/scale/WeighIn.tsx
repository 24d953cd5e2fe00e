import { useEffect, useRef, useState } from 'react'
import { fillOf, Steady } from '#core/scale/steady'
import { formatWeight } from '#core/units'
import { NumberText } from '../parts/NumberText.tsx'
import { ChooseScale } from './ChooseScale.tsx'
import { scale } from './scaleStore.ts'
import { useScale } from './useScale.ts'
import css from './WeighIn.module.css'

/** Something that is weighed in, and what was taken of it so far. */
export interface Weighed {
  name: string
  grams: number
  taken: number | null
}

/** After something was taken, the plate must have been emptied or tared to this share of what comes next. */
const EMPTIED = 0.2

/**
 * Weighs one thing after the other into a bowl: a bar fills up to what is wanted, says by word and shape when it is there and at rest, and
 * takes the value then. Without a scale the number is typed.
 */
export function WeighIn(props: {
  things: readonly Weighed[]
  stepGrams: number
  units: 'grams' | 'ounces'
  take: (index: number, grams: number) => void
}) {
  const { things, stepGrams, units, take } = props
  const at = things.findIndex((t) => t.taken === null)
  const thing = things[at]
  const state = useScale()
  const reading = state.kind === 'on' ? state.reading : null
  const rested = useRested(reading, stepGrams)
  // what was taken a moment ago still lies on the plate
  const [armed, setArmed] = useState(true)
  const [asking, setAsking] = useState(false)
  const fill = thing && reading ? fillOf(reading.grams, thing.grams, stepGrams) : null
  const ready = fill !== null && fill.state === 'there' && rested !== null
  const last = useRef(take)
  last.current = take
  useEffect(() => {
    if (fill && fill.share < EMPTIED) setArmed(true)
  }, [fill])
  useEffect(() => {
    if (!armed || !ready || rested === null) return
    setArmed(false)
    last.current(at, rested)
  }, [armed, ready, rested, at])
  if (!thing) return <p className={css.all}>All weighed.</p>
  const weight = (grams: number) => formatWeight(grams, units)
  return (
    <section className={css.weigh} aria-label="Weigh in">
      <div className={css.said}>
        <strong>{thing.name}</strong>
        <span>{weight(thing.grams)} wanted</span>
      </div>
      {state.kind === 'on' && reading && fill ? (
        <>
          <div className={css.bar} data-state={fill.state} data-rest={reading.stable || undefined}>
            <i style={{ width: `${Math.min(100, (100 * fill.share) / FULL_AT)}%` }} />
            <b style={{ left: `${100 / FULL_AT}%` }} />
          </div>
          <div className={css.said} role="status">
            <strong className="figure">{weight(Math.max(0, reading.grams))}</strong>
            <span>
              {!armed
                ? 'taken: tare, or clear the plate'
                : said(fill.state, weight(fill.gap), reading.stable)}
            </span>
          </div>
        </>
      ) : (
        <p className={css.quiet} role="status">
          {state.kind === 'gone' &&
            `${state.why}${state.last ? ` It said ${weight(state.last.grams)} last; what was taken is kept.` : ''}`}
          {state.kind === 'on' && state.overload && 'More lies on the scale than it can carry.'}
          {state.kind === 'opening' && 'Listening for the scale…'}
        </p>
      )}
      <div className={css.buttons}>
        {state.kind === 'on' && (
          <>
            <button type="button" onClick={() => void scale.tare().then(() => setArmed(true))}>
              Tare
            </button>
            <button
              type="button"
              disabled={!reading || reading.grams <= 0}
              onClick={() => {
                if (!reading) return
                setArmed(false)
                take(at, reading.grams)
              }}
            >
              Take it as it is
            </button>
          </>
        )}
        {state.kind === 'gone' && (
          <button type="button" onClick={() => void scale.again()}>
            Try again
          </button>
        )}
        {state.kind === 'off' &&
          (asking ? (
            <ChooseScale />
          ) : (
            <button type="button" onClick={() => setAsking(true)}>
              From a scale
            </button>
          ))}
        {(state.kind === 'off' || state.kind === 'gone') && (
          <Typed key={at} name={thing.name} keep={(grams) => take(at, grams)} />
        )}
      </div>
    </section>
  )
}

/** The bar has room for a little too much. */
const FULL_AT = 1.15

function said(state: 'under' | 'there' | 'over', gap: string, stable: boolean): string {
  if (state === 'under') return `${gap} to go`
  if (state === 'over') return `${gap} too much`
  return stable ? '■ there, at rest' : '▸ there, still moving'
}

/** The weight at rest, heard as it comes in; null while it moves. */
function useRested(reading: { grams: number; stable: boolean } | null, stepGrams: number): number | null {
  const [steady] = useState(() => new Steady(stepGrams))
  const [rested, setRested] = useState<number | null>(null)
  useEffect(() => {
    setRested(reading ? steady.hear(reading, performance.now()) : null)
  }, [reading, steady])
  return rested
}

function Typed({ name, keep }: { name: string; keep: (grams: number) => void }) {
  const [grams, setGrams] = useState<number | null>(null)
  return (
    <span className={css.typed}>
      <NumberText
        label={`Weighed of ${name}`}
        hideLabel
        unit="g"
        width={140}
        placeholder="or type it"
        value={grams}
        onNumber={(typed) => {
          if (typed !== null && (typed <= 0 || typed > 100_000)) return 'From 0.1 to 100,000 g.'
          setGrams(typed)
          return null
        }}
      />
      <button type="button" disabled={grams === null} onClick={() => grams !== null && keep(grams)}>
        Take
      </button>
    </span>
  )
}
