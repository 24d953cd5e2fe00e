import { useState } from 'react'
import type { Left } from '#core/bench/wrapUp'
import type { Settings } from '#core/model/workshop'
import { NumberText } from '../../../parts/NumberText.tsx'
import { measuresOf } from '../../../parts/weight.tsx'
import { FromScale } from '../../../scale/FromScale.tsx'
import css from './WrapUp.module.css'

const THIRDS = [
  { share: 0, words: 'nothing' },
  { share: 1 / 3, words: 'a third' },
  { share: 2 / 3, words: 'two thirds' },
  { share: 1, words: 'all of it' },
]
/** More than this cannot be left in a kitchen's bowl, g. */
const MOST_GRAMS = 100_000

/** What was left of one bowl or bag: by thirds with one touch, or weighed. */
export function LeftRow(props: {
  name: string
  about: string
  hexes: readonly string[]
  plannedGrams: number
  settings: Settings
  left: Left | null
  tell: (grams: number | null, estimated: boolean) => void
  short?: boolean
  tellShort?: (short: boolean) => void
}) {
  const { name, about, hexes, plannedGrams, settings, left, tell, short = false, tellShort } = props
  const { weight } = measuresOf(settings)
  const [typing, setTyping] = useState(false)
  const isThird = (share: number) =>
    left?.estimated === true && Math.abs(left.grams - share * plannedGrams) < 1e-6
  return (
    <li className={css.row} aria-label={name}>
      <span className={css.dabs}>
        {hexes.map((hex) => (
          <i key={hex} style={{ background: hex }} />
        ))}
      </span>
      <div className={css.what}>
        <strong>{name}</strong>
        <span>
          {about}, {weight(plannedGrams)} planned
        </span>
        {left && (
          <span>
            left: {left.grams === 0 ? 'nothing' : `${left.estimated ? 'about ' : ''}${weight(left.grams)}`}
          </span>
        )}
      </div>
      <div className={css.choices}>
        {THIRDS.map(({ share, words }) => (
          <button
            key={words}
            type="button"
            aria-pressed={isThird(share)}
            onClick={() => tell(isThird(share) ? null : share * plannedGrams, true)}
          >
            {words}
          </button>
        ))}
        {typing && <FromScale units={settings.units} take={(grams) => tell(grams, false)} />}
        {typing ? (
          <NumberText
            label={`Left of ${name}`}
            hideLabel
            unit="g"
            width={130}
            decimals={1}
            autoFocus
            value={left && !left.estimated ? left.grams : null}
            onNumber={(grams) => {
              if (grams !== null && (grams < 0 || grams > MOST_GRAMS)) return 'From 0 to 100,000 g.'
              tell(grams, false)
              return null
            }}
          />
        ) : (
          <button
            type="button"
            aria-pressed={left !== null && !left.estimated}
            onClick={() => setTyping(true)}
          >
            weighed
          </button>
        )}
        {tellShort && (
          <button type="button" aria-pressed={short} onClick={() => tellShort(!short)}>
            ran short
          </button>
        )}
      </div>
    </li>
  )
}
