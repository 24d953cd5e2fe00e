import { Button, Select } from '@mantine/core'
import { memo, useState } from 'react'
import { stiffnesses } from '#core/common'
import { coatSchema, fillingSchema, type Piece, type Spreads } from '#core/model/order'
import { spreadsOn } from '#core/model/spreads'
import { surfaceDefinition } from '#core/surfaces/index'
import { useOrderBase } from '../../../data/orderEditor.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import type { ChangePiece } from './changePiece.ts'
import css from './Pieces.module.css'

/** Coats and filling: each is added, changed and taken off by itself. */
const kinds = [
  {
    key: 'filling',
    add: 'Add filling',
    name: 'Filling',
    off: 'No filling',
    start: { thicknessMm: 6, stiffness: 'soft', layers: 2 },
  },
  {
    key: 'crumbCoat',
    add: 'Add a crumb coat',
    name: 'Crumb coat',
    off: 'No crumb coat',
    start: { thicknessMm: 1, stiffness: 'soft' },
  },
  {
    key: 'coat',
    add: 'Add a coat beneath',
    name: 'Coat beneath',
    off: 'No coat',
    start: { thicknessMm: 1.5, stiffness: 'medium' },
  },
] as const

const ALL = 'all'

/** What is spread alike unless somebody says otherwise. */
function restWords({ shape, ownTiers }: Pick<Piece, 'shape' | 'ownTiers'>): string {
  if (shape.kind === 'cake') return ownTiers.length > 0 ? 'the other tiers' : 'all tiers alike'
  return ownTiers.length > 0 ? 'all the rest' : 'all of it alike'
}

/** What is spread on a piece: on all of it alike, or on one tier of a cake otherwise than on the rest. */
export const SpreadFields = memo(function SpreadFields(props: {
  piece: Pick<Piece, 'shape' | 'filling' | 'crumbCoat' | 'coat' | 'ownTiers'>
  change: ChangePiece
}) {
  const { piece, change } = props
  const { colours } = useOrderBase()
  const [chosen, setChosen] = useState<number | null>(null)
  const bodies = surfaceDefinition(piece.shape.kind).bodies(piece.shape)
  const tier = chosen !== null && chosen < bodies.length ? chosen : null
  const spreads = tier === null ? piece : spreadsOn(piece, tier)
  const own = tier !== null && piece.ownTiers.some((o) => o.tier === tier)
  const first = colours[0]
  const layered = bodies.some((b) => b.fillingMm2 !== null)
  const put = (name: string, part: (now: Spreads) => Partial<Spreads>) =>
    change(name, (now) => {
      if (tier === null) return part(now)
      const { crumbCoat, coat, filling } = spreadsOn(now, tier)
      const rest = now.ownTiers.filter((o) => o.tier !== tier)
      const was = { crumbCoat, coat, filling }
      return { ownTiers: [...rest, { tier, ...was, ...part(was) }] }
    })
  return (
    <div className={css.spreads}>
      {bodies.length > 1 && (
        <div className={css.coat}>
          <Select
            label="Spread on"
            w={180}
            value={tier === null ? ALL : String(tier)}
            onChange={(value) => setChosen(value === null || value === ALL ? null : Number(value))}
            data={[
              { value: ALL, label: restWords(piece) },
              ...bodies
                .map(({ label }, i) => ({
                  value: String(i),
                  label: piece.ownTiers.some((o) => o.tier === i) ? `${label}, its own` : label,
                }))
                .reverse(),
            ]}
          />
          {own && (
            <Button
              onClick={() =>
                change('coats of a tier', (now) => ({
                  ownTiers: now.ownTiers.filter((o) => o.tier !== tier),
                }))
              }
            >
              As on the other tiers
            </Button>
          )}
        </div>
      )}
      <p className={css.spreadTerms}>
        <Term id="spread" /> <Term id="coat" /> {layered && <Term id="crumbCoat" />}
      </p>
      {kinds
        .filter(({ key }) => layered || key === 'coat')
        .map(({ key, add, name, off, start }) => {
          const spread = spreads[key]
          if (!spread)
            return (
              <Button
                key={key}
                disabled={!first}
                onClick={() => first && put(name, () => ({ [key]: { colourId: first.id, ...start } }))}
              >
                {add}
              </Button>
            )
          const set = (part: object) => put(name, (now) => ({ [key]: { ...now[key], ...part } }))
          return (
            <div key={key} className={css.coat}>
              <Select
                label={name}
                w={140}
                value={spread.colourId}
                onChange={(colourId) => colourId && set({ colourId })}
                data={colours.map((c) => ({ value: c.id, label: c.name }))}
              />
              <LengthField
                label="Thickness"
                step={0.5}
                width={96}
                value={spread.thicknessMm}
                schema={coatSchema.shape.thicknessMm}
                onChange={(thicknessMm) => set({ thicknessMm })}
              />
              {'layers' in spread && (
                <NumberField
                  label="Layers of it"
                  width={86}
                  value={spread.layers}
                  schema={fillingSchema.shape.layers}
                  onChange={(layers) => set({ layers })}
                />
              )}
              <Select
                label="Stiffness"
                w={106}
                value={spread.stiffness}
                onChange={(stiffness) => stiffness && set({ stiffness })}
                data={stiffnesses}
              />
              <Button onClick={() => put(name, () => ({ [key]: null }))}>{off}</Button>
            </div>
          )
        })}
    </div>
  )
})
