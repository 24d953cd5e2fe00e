import { ActionIcon, Button, Menu, Select } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useMemo, useState } from 'react'
import { stiffnesses } from '#core/common'
import { flowerForOrder } from '#core/flowers/forOrder'
import { coatSchema, fillingSchema, type Piece, pieceSchema } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import { duplicatePiece } from '#core/orders/new'
import { surfaceDefinition } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { type DrawnFlower, PiecePicture } from '../../../drawings/PiecePicture.tsx'
import { LengthField, useLength } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { FlowerChooser } from './FlowerChooser.tsx'
import { FlowerRow } from './FlowerRow.tsx'
import css from './Pieces.module.css'
import { ShapeFields } from './ShapeFields.tsx'

/** Changes a piece; a function gets it as it is by then, so that quick changes do not undo each other. */
type ChangePiece = (label: string, part: Partial<Piece> | ((now: Piece) => Partial<Piece>)) => void

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
        <PiecePicture
          piece={piece}
          flowers={drawn}
          coatHex={piece.coat ? hexOf(piece.coat.colourId) : null}
          workshop={workshop}
          size={190}
        />
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
          <ShapeFields
            shape={piece.shape}
            onChange={(part) =>
              change('measures', (now) => ({ shape: { ...now.shape, ...part } as Piece['shape'] }))
            }
          />
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
          <Spreads piece={piece} change={change} />
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
      const recipe = workshop.flowers.find((f) => f.id === placed.flowerId)
      if (!recipe) return []
      const { flower, colours } = flowerForOrder(recipe, placed)
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
            flower.roles.map((r) => [r.id, hexes.get(colours[r.id] ?? '') ?? r.hex]),
          ),
        },
      ]
    })
  }, [piece, order.colours, workshop, plan])
}

/** Coats and filling: each is added, changed and taken off by itself. */
const spreads = [
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

function Spreads(props: { piece: Piece; change: ChangePiece }) {
  const { piece, change } = props
  const { order } = useOrderEditor()
  const first = order.colours[0]
  const layered = surfaceDefinition(piece.shape.kind).fillingAreaMm2 !== null
  return (
    <div className={css.spreads}>
      {spreads
        .filter(({ key }) => layered || key === 'coat')
        .map(({ key, add, name, off, start }) => {
          const spread = piece[key]
          if (!spread)
            return (
              <Button
                key={key}
                disabled={!first}
                onClick={() => first && change(name, { [key]: { colourId: first.id, ...start } })}
              >
                {add}
              </Button>
            )
          const set = (part: object) => change(name, (now) => ({ [key]: { ...now[key], ...part } }))
          return (
            <div key={key} className={css.coat}>
              <Select
                label={name}
                w={140}
                value={spread.colourId}
                onChange={(colourId) => colourId && set({ colourId })}
                data={order.colours.map((c) => ({ value: c.id, label: c.name }))}
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
              <Button onClick={() => change(name, { [key]: null })}>{off}</Button>
            </div>
          )
        })}
    </div>
  )
}
