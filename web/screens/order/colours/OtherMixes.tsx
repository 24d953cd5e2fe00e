import { Button } from '@mantine/core'
import type { BowlAnswer, ShownMix } from '#core/colour/bowl'
import css from './Colours.module.css'
import type { ChangeColour } from './changeColour.ts'

/** Why a wish cannot be met, what would come nearer, and the nearest to wish for. */
export function Reach(props: {
  reach: NonNullable<BowlAnswer['reach']>
  nearest: string
  change: ChangeColour | null
}) {
  const { reach, nearest, change } = props
  return (
    <div className={css.reach}>
      <p>
        <strong>This is the nearest.</strong> {reach.words}
      </p>
      {reach.icings.map((i) => (
        <p key={i.id} className={css.option}>
          <span className={css.chip} style={{ background: i.hex }} /> {i.name}: {i.words}
        </p>
      ))}
      {reach.dye && (
        <p className={css.option}>
          <span className={css.chip} style={{ background: reach.dye.hex }} /> with a bottle of{' '}
          {reach.dye.name.toLowerCase()}, which you do not have
        </p>
      )}
      {change && (
        <Button size="compact-sm" onClick={() => change({ hex: nearest }, 'nearest')}>
          Wish for the nearest
        </Button>
      )}
    </div>
  )
}

/** Other dyes for the same colour, each with how near it comes. */
export function OtherMixes({ mixes, change }: { mixes: readonly ShownMix[]; change: ChangeColour | null }) {
  if (mixes.length === 0) return null
  return (
    <>
      <h3 className={css.subhead}>Other ways</h3>
      <ul className={css.others}>
        {mixes.map((mix) => (
          <li key={mix.doses.map((d) => d.dyeId).join()}>
            <span className={css.chip} style={{ background: mix.hex }} />
            <span>
              {mix.doses.map((d) => `${d.words} ${d.name.toLowerCase()}`).join(', ') || 'no dye'}
              <span className="quiet"> · {mix.words}</span>
            </span>
            {change && (
              <Button
                size="compact-xs"
                onClick={() => change({ dyeIds: mix.doses.map((d) => d.dyeId) }, 'dyes')}
              >
                Take
              </Button>
            )}
          </li>
        ))}
      </ul>
    </>
  )
}
