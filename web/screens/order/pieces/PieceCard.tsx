import { ActionIcon, Button, Menu, Select } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { stiffnesses } from '#core/model/common'
import { coatSchema, type Piece, pieceSchema } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { duplicatePiece } from '#core/orders/new'
import { surfaceDefinition } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { type DrawnFlower, PiecePicture } from '../../../drawings/PiecePicture.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { FlowerChooser } from './FlowerChooser.tsx'
import { FlowerRow } from './FlowerRow.tsx'
import css from './Pieces.module.css'
import { ShapeFields } from './ShapeFields.tsx'

/** One piece: its picture, measures, flowers and coat. */
export function PieceCard({ piece, index }: { piece: Piece; index: number }) {
  const { order, workshop, plan, before, edit, undo } = useOrderEditor()
  const [choosing, setChoosing] = useState(false)
  const weight = useWeight()
  const change = (label: string, part: Partial<Piece>) =>
    edit(
      label,
      (o) => ({ ...o, pieces: o.pieces.map((p) => (p.id === piece.id ? { ...p, ...part } : p)) }),
      `${piece.id} ${label}`,
    )
  const drawn = useDrawnFlowers(piece)
  const hexOf = (id: string) => order.colours.find((c) => c.id === id)?.hex ?? null
  const grams = pipedOn(plan, piece.id)
  const gramsBefore = pipedOn(before, piece.id)

  function remove() {
    edit('remove a piece', (o) => ({ ...o, pieces: o.pieces.filter((p) => p.id !== piece.id) }))
    tell(`${piece.name} is taken out. Ctrl Z brings it back.`)
  }
  function duplicate() {
    edit('duplicate a piece', (o) => {
      const at = o.pieces.findIndex((p) => p.id === piece.id)
      return { ...o, pieces: o.pieces.toSpliced(at + 1, 0, duplicatePiece(piece, newId)) }
    })
  }
  function move(by: number) {
    edit('move a piece', (o) => {
      const others = o.pieces.filter((p) => p.id !== piece.id)
      return { ...o, pieces: others.toSpliced(index + by, 0, piece) }
    })
  }

  return (
    <section className={css.piece} aria-label={piece.name}>
      <div className={css.picture}>
        <PiecePicture
          piece={piece}
          flowers={drawn}
          coatHex={piece.coat ? hexOf(piece.coat.colourId) : null}
          workshop={workshop}
          size={190}
        />
        <p className="quiet">{surfaceDefinition(piece.shape.kind).describe(piece.shape)}</p>
        {grams !== undefined && (
          <p>
            <span className={`${css.grams} figure`}>{weight(grams / piece.count)}</span>{' '}
            <span className="quiet">on each</span>
            <Was
              now={weight(grams / piece.count)}
              before={gramsBefore === undefined ? undefined : weight(gramsBefore / piece.count)}
            />
          </p>
        )}
      </div>
      <div>
        <div className={css.head}>
          <TextField
            label="Piece"
            value={piece.name}
            schema={pieceSchema.shape.name}
            onChange={(name) => change('name', { name })}
            width={230}
          />
          <NumberField
            label="How many"
            value={piece.count}
            schema={pieceSchema.shape.count}
            onChange={(count) => change('count', { count })}
            width={104}
          />
          <ShapeFields shape={piece.shape} onChange={(shape) => change('measures', { shape })} />
          <Menu position="bottom-end">
            <Menu.Target>
              <ActionIcon aria-label={`More for ${piece.name}`}>
                <IconDots size={20} stroke={1.6} />
              </ActionIcon>
            </Menu.Target>
            <Menu.Dropdown>
              <Menu.Item onClick={duplicate}>Duplicate</Menu.Item>
              <Menu.Item disabled={index === 0} onClick={() => move(-1)}>
                Move up
              </Menu.Item>
              <Menu.Item disabled={index === order.pieces.length - 1} onClick={() => move(1)}>
                Move down
              </Menu.Item>
              <Menu.Item onClick={remove}>Remove</Menu.Item>
            </Menu.Dropdown>
          </Menu>
        </div>
        {piece.flowers.length === 0 ? (
          <p className={css.bare}>Nothing on it yet.</p>
        ) : (
          <div className={css.rows}>
            <div className={`${css.row} ${css.rowHead}`} aria-hidden="true">
              <span />
              <span>Flower</span>
              <span>On each piece</span>
              <span>Across</span>
              <span>Colours</span>
              <span style={{ textAlign: 'right' }}>All of them</span>
              <span />
            </div>
            {piece.flowers.map((placed) => (
              <FlowerRow key={placed.id} piece={piece} placed={placed} />
            ))}
          </div>
        )}
        <div className={css.foot}>
          <Button onClick={() => setChoosing(true)}>Add a flower</Button>
          <Select
            label="Icing kind"
            w={200}
            value={piece.icingKindId ?? ''}
            onChange={(id) => change('icing kind', { icingKindId: id || null })}
            data={[
              {
                value: '',
                label: 'As the order',
              },
              ...workshop.icings.map((i) => ({ value: i.id, label: i.name })),
            ]}
          />
          <CoatFields piece={piece} onChange={(coat) => change('coat', { coat })} />
        </div>
      </div>
      <FlowerChooser opened={choosing} close={() => setChoosing(false)} piece={piece} undo={undo} />
    </section>
  )
}

function pipedOn(plan: Plan | undefined, pieceId: string): number | undefined {
  return plan?.uses
    .filter((u) => u.pieceId === pieceId)
    .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
}

/** The piece's flowers with everything the picture needs. */
function useDrawnFlowers(piece: Piece): DrawnFlower[] {
  const { order, workshop, plan } = useOrderEditor()
  return useMemo(() => {
    const hexes = new Map(order.colours.map((c) => [c.id, c.hex]))
    return piece.flowers.flatMap((placed) => {
      const flower = workshop.flowers.find((f) => f.id === placed.flowerId)
      if (!flower) return []
      const use = plan?.uses.find((u) => u.pieceId === piece.id && u.placedId === placed.id)
      return [
        {
          placedId: placed.id,
          flower,
          sizeMm: placed.sizeMm,
          tips: placed.tips,
          perPiece: use ? Math.round(use.flowers / piece.count) : 1,
          border: placed.placement.kind === 'border',
          colours: Object.fromEntries(
            flower.roles.map((r) => [r.id, hexes.get(placed.colours[r.id] ?? '') ?? r.hex]),
          ),
        },
      ]
    })
  }, [piece, order.colours, workshop, plan])
}

function CoatFields(props: { piece: Piece; onChange: (coat: Piece['coat']) => void }) {
  const { piece, onChange } = props
  const { order } = useOrderEditor()
  const { coat } = piece
  const first = order.colours[0]
  if (!coat)
    return (
      <div className={css.coat}>
        <Button
          disabled={!first}
          onClick={() => first && onChange({ colourId: first.id, thicknessMm: 1.5, stiffness: 'medium' })}
        >
          Add a coat beneath
        </Button>
      </div>
    )
  return (
    <div className={css.coat}>
      <Select
        label="Coat beneath"
        w={150}
        value={coat.colourId}
        onChange={(colourId) => colourId && onChange({ ...coat, colourId })}
        data={order.colours.map((c) => ({ value: c.id, label: c.name }))}
      />
      <NumberField
        label="Thickness"
        unit="mm"
        step={0.5}
        width={100}
        value={coat.thicknessMm}
        schema={coatSchema.shape.thicknessMm}
        onChange={(thicknessMm) => onChange({ ...coat, thicknessMm })}
      />
      <Select
        label="Stiffness"
        w={112}
        value={coat.stiffness}
        onChange={(stiffness) =>
          stiffness && onChange({ ...coat, stiffness: stiffness as typeof coat.stiffness })
        }
        data={stiffnesses}
      />
      <Button onClick={() => onChange(null)}>No coat</Button>
    </div>
  )
}
