import { USUAL_HEIGHT } from '#core/practice/attempt'
import { Lever } from '../../practice/Lever.tsx'
import type { OtherHand } from '../../practice/piping.ts'
import css from './Practice.module.css'

/** The lever's head is a tip so many openings up. */
export const HIGHEST = 3
export const USUAL_LEVER = USUAL_HEIGHT / HIGHEST

/** The lever beside the sheet, for the thumb of the hand that does not pipe: what it does, and where it stands. */
export function OtherThumb(props: {
  isOwn: OtherHand
  hand: 'right' | 'left'
  squeeze: number
  lever: number
  move: (value: number) => void
}) {
  const { isOwn, hand, squeeze, lever, move } = props
  return (
    <div className={css.lever}>
      <p>
        <strong>{isOwn === 'height' ? 'height' : isOwn === 'nail' ? 'nail' : 'squeeze'}</strong>
        <span>{isOwn === 'nothing' ? 'as it comes' : `${hand === 'right' ? 'left' : 'right'} thumb`}</span>
      </p>
      <Lever
        label={LEVER_LABELS[isOwn]}
        value={isOwn === 'nothing' ? squeeze : lever}
        disabled={isOwn === 'nothing'}
        springs={isOwn === 'squeeze'}
        marks={LEVER_MARKS[isOwn]}
        onChange={move}
      />
    </div>
  )
}

const LEVER_LABELS = {
  squeeze: 'Squeeze',
  height: 'Height of the tip',
  nail: 'Turn the nail',
  nothing: 'Squeeze, as it comes from the stylus or from holding down',
}
const LEVER_MARKS = {
  squeeze: [
    { at: 0.88, says: 'hard' },
    { at: 0.5, says: 'half' },
    { at: 0.06, says: 'let go' },
  ],
  nothing: [
    { at: 0.88, says: 'hard' },
    { at: 0.5, says: 'half' },
  ],
  height: [
    { at: 0.66, says: '2 openings' },
    { at: USUAL_LEVER, says: 'right' },
  ],
  nail: [],
}
