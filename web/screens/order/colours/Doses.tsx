import type { BowlAnswer, ShownMix } from '#core/colour/bowl'
import { likelyWords } from '#core/colour/likely'
import { useParts, useWeight } from '../../../parts/weight.tsx'
import css from './Colours.module.css'

/** A strong tint stirred in by weight: for bowls in which a speck is too much. */
export function Pretint({ pretint, grams }: { pretint: NonNullable<BowlAnswer['pretint']>; grams: number }) {
  const weight = useWeight()
  const { tintGrams, takeGrams, plainGrams, mix } = pretint
  const [taken, plain] = useParts()([takeGrams, plainGrams]).parts
  return (
    <section className={css.pretint} aria-label="By a strong tint">
      <p>
        <strong>Nearer by a strong tint:</strong> {likelyWords(mix)} A speck is much in {weight(grams)}.
      </p>
      <p>
        Tint {weight(tintGrams)} of icing with{' '}
        {mix.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ')}; stir {taken} of it into{' '}
        {plain} of plain icing.
      </p>
    </section>
  )
}

/** What goes into the bowl, bottle by bottle. */
export function Doses({ mix, by }: { mix: ShownMix; by: 'drops' | 'weight' }) {
  if (mix.doses.length === 0) return <p className={css.doses}>No dye: the icing as it is.</p>
  return (
    <ul className={css.doses}>
      {mix.doses.map((d) => (
        <li key={d.dyeId}>
          <span className="figure">{by === 'drops' ? d.words : `${d.grams.toFixed(2)} g`}</span>
          <span>{d.name}</span>
        </li>
      ))}
    </ul>
  )
}
