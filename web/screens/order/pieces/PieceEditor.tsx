import { Button, Select } from '@mantine/core'
import { memo, useCallback, useMemo, useState } from 'react'
import type { IcingKind } from '#core/model/icing'
import { type Piece, pieceSchema } from '#core/model/order'
import { isCake } from '#core/orders/tiers'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import type { ChangePiece } from './changePiece.ts'
import { FlowerChooser } from './FlowerChooser.tsx'
import { FlowerRow } from './FlowerRow.tsx'
import { PieceMenu } from './PieceMenu.tsx'
import css from './Pieces.module.css'
import { AddSetOn, SetOnRows } from './SetOnRows.tsx'
import { ShapeFields } from './ShapeFields.tsx'
import { SpreadFields } from './SpreadFields.tsx'
import { TierFields } from './TierFields.tsx'

/** The opened piece: its measures, its flowers and what else is on it, its coat. */
export function PieceEditor({ piece, open }: { piece: Piece; open: (id: string) => void }) {
  const { workshop, edit, undo } = useOrderEditor()
  const [choosing, setChoosing] = useState(false)
  const change = useCallback<ChangePiece>(
    (label, part) =>
      edit(
        label,
        (o) => ({
          ...o,
          pieces: o.pieces.map((p) =>
            p.id === piece.id ? { ...p, ...(typeof part === 'function' ? part(p) : part) } : p,
          ),
        }),
        `${piece.id} ${label}`,
      ),
    [edit, piece.id],
  )
  const { shape, filling, crumbCoat, coat, ownTiers } = piece
  const spread = useMemo(
    () => ({ shape, filling, crumbCoat, coat, ownTiers }),
    [shape, filling, crumbCoat, coat, ownTiers],
  )
  return (
    <section className={css.piece} aria-label={piece.name}>
      <div className={css.head}>
        <TextField
          label="Piece"
          value={piece.name}
          schema={pieceSchema.shape.name}
          onChange={(name) => change('name', { name })}
          width={220}
        />
        <NumberField
          counts
          label="How many"
          value={piece.count}
          schema={pieceSchema.shape.count}
          onChange={(count) => change('count', { count })}
          width={150}
        />
        <span className={css.pieceMenu}>
          <PieceMenu piece={piece} open={open} />
        </span>
        {isCake(piece) ? (
          <TierFields
            piece={piece}
            change={(label, how) => change(label, (now) => (isCake(now) ? how(now) : now))}
          />
        ) : (
          <ShapeFields
            shape={piece.shape}
            onChange={(part) =>
              change('measures', (now) => ({ shape: { ...now.shape, ...part } as Piece['shape'] }))
            }
          />
        )}
      </div>
      {piece.flowers.length + piece.setOns.length === 0 ? (
        <p className={css.bare}>Nothing on it yet.</p>
      ) : (
        <div className={css.rows}>
          {piece.flowers.map((placed) => (
            <FlowerRow key={placed.id} piece={piece} placed={placed} />
          ))}
          <SetOnRows piece={piece} />
        </div>
      )}
      <div className={css.foot}>
        <Button onClick={() => setChoosing(true)}>Add a flower</Button>
        <AddSetOn piece={piece} />
        <IcingKindField value={piece.icingKindId} icings={workshop.icings} change={change} />
        <SpreadFields piece={spread} change={change} />
      </div>
      {choosing && <FlowerChooser opened close={() => setChoosing(false)} piece={piece} undo={undo} />}
    </section>
  )
}

const IcingKindField = memo(function IcingKindField(props: {
  value: Piece['icingKindId']
  icings: readonly IcingKind[]
  change: ChangePiece
}) {
  return (
    <Select
      label="Icing kind"
      w={200}
      value={props.value ?? ''}
      onChange={(id) => props.change('icing kind', { icingKindId: id || null })}
      data={[
        { value: '', label: 'As the order' },
        ...props.icings.map((i) => ({ value: i.id, label: i.name })),
      ]}
    />
  )
})
