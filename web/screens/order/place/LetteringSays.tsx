import { faces } from '#core/words/face'
import { leastCapitalMm, taken } from '#core/words/letter'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { useLength } from '../../../parts/length.tsx'
import { useWeight } from '../../../parts/weight.tsx'
import type { LaidWords } from './lettered.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** Whether words fit their place, what they take, and what stands in the way of piping them. */
export function LetteringSays(props: { placing: Placing; laid: LaidWords; tooLarge: boolean }) {
  const { placing, laid, tooLarge } = props
  const { plan } = useOrderEditor()
  const length = useLength()
  const weight = useWeight()
  const { words, made, beadMm, whole } = laid
  const least = leastCapitalMm(words.faceId, beadMm)
  const use = plan?.uses.find((u) => u.id === `${placing.piece.id}.${placing.layout.id}.${words.id}`)
  const grams = use ? use.parts.reduce((sum, p) => sum + p.piped, 0) / use.flowers : 0
  const { touchDowns, seconds } = taken(made, beadMm)
  const fits = whole && !tooLarge
  return (
    <>
      <p>
        {fits ? (
          <strong>The words fit: </strong>
        ) : (
          <strong className={css.wants}>
            <FlagMark />{' '}
            {whole ? 'The words are too large for their place: ' : 'The words run off their place: '}
          </strong>
        )}
        {length(made.widthMm)} wide, {length(made.heightMm)} high, {weight(grams)}, {touchDowns} touch-downs,{' '}
        {Math.round(seconds)} s
      </p>
      {made.missing.length > 0 && (
        <p role="alert">
          <FlagMark /> {faces[words.faceId].label} has no {made.missing.map((c) => `“${c}”`).join(', ')}: left
          out. Choose another face, or write it otherwise.
        </p>
      )}
      {words.capitalMm < least && (
        <p>
          <FlagMark /> Small letters close: capitals of {length(least)} at least in this face with icing so
          wide.
        </p>
      )}
    </>
  )
}
