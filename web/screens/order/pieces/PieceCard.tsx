import { ActionIcon, Button, Menu, Select } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { type Piece, pieceSchema } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { duplicatePiece } from '#core/orders/new'
import { isCake } from '#core/orders/tiers'
import { surfaceDefinition } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { drawnFlowers } from '../../../drawings/drawnFlowers.ts'
import { type DrawnFlower, PiecePicture } from '../../../drawings/PiecePicture.tsx'
import { useLength } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { coatsOf } from '../../../solid/bodyOf.ts'
import { FlowerChooser } from './FlowerChooser.tsx'
import { FlowerRow } from './FlowerRow.tsx'
import css from './Pieces.module.css'
import { AddSetOn, SetOnRows } from './SetOnRows.tsx'
import { ShapeFields } from './ShapeFields.tsx'
import { SpreadFields } from './SpreadFields.tsx'
import { TierFields } from './TierFields.tsx'

/** Changes a piece; a function gets it as it is by then, so that quick changes do not undo each other. */
export type ChangePiece = (label: string, part: Partial<Piece> | ((now: Piece) => Partial<Piece>)) => void

/** One piece: its picture, measures, flowers and coat. */
export function PieceCard({ piece, index }: { piece: Piece; index: number }) {
  const { order, workshop, plan, before, edit, undo } = useOrderEditor()
  const [choosing, setChoosing] = useState(false)
  const length = useLength()
  const weight = useWeight()
  const change: ChangePiece = (label, part) =>
    edit(
      label,
      (o) => ({
        ...o,
        pieces: o.pieces.map((p) =>
          p.id === piece.id ? { ...p, ...(typeof part === 'function' ? part(p) : part) } : p,
        ),
      }),
      `${piece.id} ${label}`,
    )
  const drawn = useDrawnFlowers(piece)
  const coats = useMemo(() => coatsOf(piece, order.colours), [piece, order.colours])
  const grams = pipedOn(plan, piece.id)
  const gramsBefore = pipedOn(before, piece.id)

  function remove() {
    edit('remove a piece', (o) => ({ ...o, pieces: o.pieces.filter((p) => p.id !== piece.id) }))
    tell(`${piece.name} is taken out. Ctrl Z brings it back.`)
  }
  function duplicate() {
    edit('duplicate a piece', (o) => {
      const at = o.pieces.findIndex((p) => p.id === piece.id)
      return { ...o, pieces: o.pieces.toSpliced(at + 1, 0, duplicatePiece(o.pieces[at] ?? piece, newId)) }
    })
  }
  function move(by: number) {
    edit('move a piece', (o) => {
      const others = o.pieces.filter((p) => p.id !== piece.id)
      return {
        ...o,
        pieces: others.toSpliced(index + by, 0, o.pieces.find((p) => p.id === piece.id) ?? piece),
      }
    })
  }

  return (
    <section className={css.piece} aria-label={piece.name}>
      <div className={css.picture}>
        <PiecePicture piece={piece} flowers={drawn} coats={coats} workshop={workshop} size={190} />
        <p className="quiet">{surfaceDefinition(piece.shape.kind).describe(piece.shape, length)}</p>
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
          <Menu position="bottom-end">
            <Menu.Target>
              <ActionIcon aria-label={`More for ${piece.name}`}>
                <IconDots size={20} stroke={1.6} />
              </ActionIcon>
            </Menu.Target>
            <Menu.Dropdown>
              <Menu.Item
                component={Link}
                to={`/orders/${order.id}/timeline/lighter?piece=${encodeURIComponent(piece.id)}`}
              >
                Same look, less work
              </Menu.Item>
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
        {piece.flowers.length + piece.setOns.length === 0 ? (
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
            <SetOnRows piece={piece} />
          </div>
        )}
        <div className={css.foot}>
          <Button onClick={() => setChoosing(true)}>Add a flower</Button>
          <AddSetOn piece={piece} />
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
          <SpreadFields piece={piece} change={change} />
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
    const onEach = (placedId: string) => {
      const use = plan?.uses.find((u) => u.pieceId === piece.id && u.placedId === placedId)
      return use ? Math.round(use.flowers / piece.count) : 1
    }
    return drawnFlowers(piece, order.colours, workshop, ({ id }) => onEach(id))
  }, [piece, order.colours, workshop, plan])
}
