import type { BowlAnswer } from '#core/colour/bowl'
import type { OrderColour } from '#core/model/order'
import { Smear } from '../../../drawings/Petal.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import css from './Colours.module.css'

/** As high as the wish beside it. */
const SWATCH_PX = 76

/** A colour as a large swatch: the wish beside what a hand is likely to get, and the drops in a line. */
export function ColourCard(props: {
  colour: OrderColour
  grams: number | undefined
  gramsBefore: number | undefined
  answer: BowlAnswer | undefined
  selected: boolean
  select: () => void
}) {
  const { colour, grams, gramsBefore, answer } = props
  const weight = useWeight()
  return (
    <li>
      <button type="button" className={css.card} aria-pressed={props.selected} onClick={props.select}>
        <span className={css.swatches}>
          <span className={css.wish} style={{ background: colour.hex }} />
          {answer ? (
            <Smear
              hexes={answer.chosen.likely.smear}
              height={SWATCH_PX}
              label={`Likely: ${answer.chosen.words}`}
            />
          ) : (
            <span className={css.waiting} />
          )}
        </span>
        <span className={css.words}>
          <span className={css.name}>{colour.name}</span>
          <span className={`${css.grams} figure`}>
            {grams === undefined ? '…' : weight(grams)}
            <Was
              now={weight(grams ?? 0)}
              before={gramsBefore === undefined ? undefined : weight(gramsBefore)}
            />
          </span>
          <span className={css.formula}>
            {/* until there is a plan nobody knows */}
            {answer ? doseLine(answer) : grams === 0 ? 'not used yet' : 'working it out…'}
          </span>
          {answer?.reach && (
            <span className={css.off}>
              <FlagMark /> {answer.chosen.words}
            </span>
          )}
        </span>
      </button>
    </li>
  )
}

function doseLine({ chosen }: BowlAnswer): string {
  if (chosen.doses.length === 0) return 'no dye: plain icing'
  return chosen.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ')
}
