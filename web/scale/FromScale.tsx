import { useState } from 'react'
import { formatWeight } from '#core/units'
import { ChooseScale } from './ChooseScale.tsx'
import { scale } from './scaleStore.ts'
import { useScale } from './useScale.ts'
import css from './WeighIn.module.css'

/** What lies on the scale, to be taken over into a field; tare is one touch. */
export function FromScale({ units, take }: { units: 'grams' | 'ounces'; take: (grams: number) => void }) {
  const state = useScale()
  const [asking, setAsking] = useState(false)
  const reading = state.kind === 'on' ? state.reading : null
  return (
    <span className={css.buttons}>
      {state.kind === 'on' && (
        <>
          <button
            type="button"
            disabled={!reading?.stable || reading.grams <= 0}
            onClick={() => reading && take(reading.grams)}
          >
            {reading === null
              ? 'over its load'
              : reading.stable
                ? `■ take ${formatWeight(Math.max(0, reading.grams), units)}`
                : '▸ moving'}
          </button>
          <button type="button" onClick={() => void scale.tare()}>
            Tare
          </button>
        </>
      )}
      {state.kind === 'gone' && (
        <>
          <span role="status">{state.why}</span>
          <button type="button" onClick={() => void scale.again()}>
            Try again
          </button>
        </>
      )}
      {state.kind === 'off' &&
        (asking ? (
          <ChooseScale />
        ) : (
          <button type="button" onClick={() => setAsking(true)}>
            From a scale
          </button>
        ))}
    </span>
  )
}
