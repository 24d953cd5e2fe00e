import { ActionIcon, Menu, Select } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { flowerForOrder } from '#core/flowers/forOrder'
import { flowersOn } from '#core/model/arrangements'
import type { Flower } from '#core/model/flower'
import { takeOff } from '#core/model/onPiece'
import { type Piece, type PlacedFlower, placedFlowerSchema, placementSchema } from '#core/model/order'
import { withWhatIsSetOn } from '#core/model/placeFaults'
import type { Plan } from '#core/model/plan'
import { surfaceDefinition } from '#core/surfaces/index'
import { benchMm } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlowerPicture } from '../../../drawings/FlowerPicture.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { usePicture } from '../../../workers/planner.ts'
import { OwnWay } from './OwnWay.tsx'
import css from './Pieces.module.css'
import { RoleChip } from './RoleChip.tsx'
import { TipChoice } from './TipChoice.tsx'

const perPieceSchema = placementSchema.options[0].shape.perPiece
const sizeSchema = placedFlowerSchema.shape.sizeMm.unwrap().unwrap()

const edgeKey = ({ id, tier }: { id: string; tier: number }) => `${id} ${tier}`

/** A flower on a piece: how many, how large, in which colours; its tips in a panel of their own. */
export function FlowerRow({ piece, placed }: { piece: Piece; placed: PlacedFlower }) {
  const { order, workshop, plan, before, edit } = useOrderEditor()
  const [tipsOpen, setTipsOpen] = useState(false)
  const [ownOpen, setOwnOpen] = useState(false)
  const weight = useWeight()
  const recipe = workshop.flowers.find((f) => f.id === placed.flowerId)
  const own = recipe && flowerForOrder(recipe, placed)
  const flower = own?.flower
  const { picture } = usePicture(flower, placed, workshop)
  if (!recipe || !flower) return null
  const change = (
    label: string,
    part: Partial<PlacedFlower> | ((now: PlacedFlower) => Partial<PlacedFlower>),
  ) =>
    edit(
      `${flower.name}: ${label}`,
      (o) => ({
        ...o,
        pieces: o.pieces.map((p) =>
          p.id === piece.id
            ? {
                ...p,
                flowers: p.flowers.map((f) =>
                  f.id === placed.id ? { ...f, ...(typeof part === 'function' ? part(f) : part) } : f,
                ),
              }
            : p,
        ),
      }),
      `${piece.id} ${placed.id} ${label}`,
    )
  const colours = Object.fromEntries(
    flower.roles.map((r) => [r.id, order.colours.find((c) => c.id === own.colours[r.id])?.hex ?? r.hex]),
  )
  const grams = pipedBy(plan, piece.id, placed.id)
  const gramsBefore = pipedBy(before, piece.id, placed.id)
  const edges = surfaceDefinition(piece.shape.kind).edges(piece.shape)
  const units = plan?.uses.find((u) => u.pieceId === piece.id && u.placedId === placed.id)

  return (
    <div className={css.row}>
      {picture ? (
        <FlowerPicture
          shapes={picture.shapes}
          colours={colours}
          size={54}
          label={`${flower.name} from above`}
        />
      ) : (
        <span />
      )}
      <div>
        <Link to={`/flowers/${flower.id}`} className={css.flowerName}>
          {flower.name}
        </Link>
        <div className="quiet">
          {recipe.setting === 'nail' ? <Term id="nail">on a nail</Term> : <Term id="inPlace">in place</Term>}
          {placedWords(recipe, placed)}
        </div>
      </div>
      {placed.placement.kind === 'each' && piece.layouts.length > 0 ? (
        <Link to={`place/${piece.id}`} className={css.placed}>
          {numberWords(flowersOn(piece, placed) / piece.count)}
        </Link>
      ) : placed.placement.kind === 'each' ? (
        <NumberField
          counts
          short="On each"
          label={`${flower.name} on each of ${piece.name}`}
          value={placed.placement.perPiece}
          schema={perPieceSchema}
          onChange={(perPiece) => change('number', { placement: { kind: 'each', perPiece } })}
        />
      ) : placed.placement.kind === 'line' ? (
        <div>
          <Link to={`place/${piece.id}`} className={css.placed}>
            along its lines
          </Link>
          {units && <div className="quiet">{Math.round(units.flowers / piece.count)} units</div>}
        </div>
      ) : (
        <div>
          <Select
            label="Along"
            aria-label={`Along: edge for ${flower.name}`}
            value={edgeKey({ id: placed.placement.edge, tier: placed.placement.tier })}
            onChange={(key) => {
              const to = edges.find((e) => edgeKey(e) === key)
              if (to) change('edge', { placement: { kind: 'border', edge: to.id, tier: to.tier } })
            }}
            data={edges.map((e) => ({ value: edgeKey(e), label: e.label }))}
          />
          {units && <span className="quiet">{Math.round(units.flowers / piece.count)} units</span>}
        </div>
      )}
      <LengthField
        short="Size"
        label={`Size of ${flower.name}`}
        decimals={1}
        value={placed.sizeMm ?? benchMm(picture?.measure.diameterMm ?? 0)}
        schema={sizeSchema}
        onChange={(sizeMm) => change('size', { sizeMm })}
      />
      <div className={css.roles}>
        {recipe.roles.map((role) => (
          <RoleChip
            key={role.id}
            name={role.name}
            chosen={placed.colours[role.id]}
            onChoose={(id) => change(role.name, (now) => ({ colours: { ...now.colours, [role.id]: id } }))}
          />
        ))}
      </div>
      <div className={css.weight}>
        <small className={css.all}>all of them</small>
        {grams === undefined ? '…' : weight(grams)}
        <div>
          <Was
            now={weight(grams ?? 0)}
            before={gramsBefore === undefined ? undefined : weight(gramsBefore)}
          />
        </div>
      </div>
      <Menu position="bottom-end">
        <Menu.Target>
          <ActionIcon aria-label={`More for ${flower.name} on ${piece.name}`}>
            <IconDots size={20} stroke={1.6} />
          </ActionIcon>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => setOwnOpen(true)}>Otherwise for this order…</Menu.Item>
          <Menu.Item onClick={() => setTipsOpen(true)}>Choose its tips…</Menu.Item>
          <Menu.Item disabled={placed.sizeMm === null} onClick={() => change('size', { sizeMm: null })}>
            Back to its own size
          </Menu.Item>
          <Menu.Item onClick={() => edit(`${flower.name}: remove`, (o) => takeOff(o, piece.id, placed.id))}>
            Remove
          </Menu.Item>
        </Menu.Dropdown>
      </Menu>
      <OwnWay
        opened={ownOpen}
        close={() => setOwnOpen(false)}
        recipe={recipe}
        placed={placed}
        onChange={(part) => change('otherwise', part)}
      />
      <TipChoice
        opened={tipsOpen}
        close={() => setTipsOpen(false)}
        flower={flower}
        placed={placed}
        fitted={picture?.layers.map((l) => l.tip.id) ?? []}
        onChange={(layerId, tipId) =>
          change('tips', (now) => {
            const { [layerId]: _, ...without } = now.tips
            return { tips: tipId ? { ...without, [layerId]: tipId } : without }
          })
        }
      />
    </div>
  )
}

/** How many of a flower stand on each, where every one has its place: on the average, where like pieces differ. */
function numberWords(each: number): string {
  if (each === 0) return 'not placed yet'
  return `${Number.isInteger(each) ? each : `about ${each.toFixed(1)}`} placed`
}

/** That this order does it otherwise than its recipe. */
function placedWords(recipe: Flower, placed: PlacedFlower): string {
  const without = withWhatIsSetOn(recipe, placed.leftOut)
  const left = recipe.layers.filter((l) => without.has(l.id)).map((l) => l.name.toLowerCase())
  const toned = Object.keys(placed.twoTone).length > 0
  const words = [
    ...(left.length > 0 ? [`without ${left.join(', ')}`] : []),
    ...(toned ? ['two-tone'] : []),
    ...placed.added.map(({ layer }) => `with ${layer.name.toLowerCase()}`),
    ...(placed.batch !== null ? [`${placed.batch} squares at a time`] : []),
  ]
  return words.map((w) => `, ${w}`).join('')
}

function pipedBy(plan: Plan | undefined, pieceId: string, placedId: string): number | undefined {
  return plan?.uses
    .filter((u) => u.pieceId === pieceId && u.placedId === placedId)
    .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
}
