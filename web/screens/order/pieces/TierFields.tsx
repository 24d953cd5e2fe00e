import { ActionIcon, Button } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { z } from 'zod'
import { addTier, type CakePiece, MOST_TIERS, removeTier, setTier, tierLimits } from '#core/orders/tiers'
import { cakeFields, tierName } from '#core/surfaces/cake'
import { LengthField, useLength } from '../../../parts/length.tsx'
import css from './Pieces.module.css'

/** The measures of a cake, its top tier first as it is looked at; tiers are put on and taken off. */
export function TierFields(props: {
  piece: CakePiece
  change: (label: string, how: (now: CakePiece) => CakePiece) => void
}) {
  const { piece, change } = props
  const length = useLength()
  const { tiers, coveredMm } = piece.shape
  const rows = tiers.map((tier, i) => ({ tier, i })).reverse()
  return (
    <div className={css.tiers}>
      {rows.map(({ tier, i }) => {
        const name = tierName(i, tiers.length)
        const of = name ? `, ${name}` : ''
        const { leastMm, mostMm } = tierLimits(piece, i)
        const across = z
          .number()
          .min(
            leastMm,
            `At least ${length(leastMm)}: ${i + 1 < tiers.length ? 'as wide as the tier on it' : 'a tier is no narrower'}.`,
          )
          .max(
            mostMm,
            `At most ${length(mostMm)}: ${i > 0 ? 'as wide as the tier below it' : 'a tier is no wider'}.`,
          )
        return (
          <div key={i} className={css.tier}>
            <LengthField
              label={`Across${of}`}
              width={126}
              value={tier.diameterMm}
              schema={across}
              onChange={(diameterMm) => change(`width${of}`, (now) => setTier(now, i, { diameterMm }))}
            />
            <LengthField
              label={`High${of}`}
              width={126}
              value={tier.heightMm}
              schema={cakeFields.tier.heightMm}
              onChange={(heightMm) => change(`height${of}`, (now) => setTier(now, i, { heightMm }))}
            />
            {tiers.length > 1 && (
              <ActionIcon
                aria-label={`Take off the ${name}`}
                onClick={() => change('take off a tier', (now) => removeTier(now, i))}
              >
                <IconX size={20} stroke={1.6} />
              </ActionIcon>
            )}
          </div>
        )
      })}
      <div className={css.tier}>
        <LengthField
          label="Kept free on top"
          width={126}
          value={coveredMm}
          schema={cakeFields.coveredMm}
          onChange={(mm) =>
            change('kept free', (now) => ({ ...now, shape: { ...now.shape, coveredMm: mm } }))
          }
        />
        {tiers.length < MOST_TIERS && (
          <Button onClick={() => change('add a tier', addTier)}>Add a tier on top</Button>
        )}
      </div>
    </div>
  )
}
