import { Select } from '@mantine/core'
import { memo } from 'react'
import { Link } from 'react-router'
import type { Flower } from '#core/model/flower'
import { type PlacedFlower, placedFlowerSchema, placementSchema } from '#core/model/order'
import { withWhatIsSetOn } from '#core/model/placeFaults'
import type { Edge } from '#core/surfaces/surface'
import { benchMm } from '#core/units'
import { FlowerPicture } from '../../../drawings/FlowerPicture.tsx'
import { Term } from '../../../glossary/Term.tsx'
import { LengthField } from '../../../parts/length.tsx'
import { NumberField } from '../../../parts/NumberField.tsx'
import type { Picture } from '../../../workers/flowers.worker.ts'
import type { ChangeFlower } from './changeFlower.ts'
import css from './Pieces.module.css'
import { RoleChip } from './RoleChip.tsx'

const perPieceSchema = placementSchema.options[0].shape.perPiece
const sizeSchema = placedFlowerSchema.shape.sizeMm.unwrap().unwrap()

const edgeKey = ({ id, tier }: { id: string; tier: number }) => `${id} ${tier}`

/** A flower of a piece and its fields: drawn anew when something about it has changed, and not with every plan. */
export const FlowerFields = memo(function FlowerFields(props: {
  pieceId: string
  pieceName: string
  placed: PlacedFlower
  recipe: Flower
  flower: Flower
  picture: Picture | undefined
  /** Hex colours by role. */
  colours: Readonly<Record<string, string>>
  /** How many stand on each where every one has its place; null where only their number is said. */
  stands: string | null
  /** Of a border on each piece. */
  units: number | null
  edges: readonly Edge[]
  change: ChangeFlower
}) {
  const { pieceId, pieceName, placed, recipe, flower, picture, colours, stands, units, edges, change } = props
  return (
    <>
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
      {placed.placement.kind === 'each' && stands !== null ? (
        <Link to={`place/${pieceId}`} className={css.placed}>
          {stands}
        </Link>
      ) : placed.placement.kind === 'each' ? (
        <NumberField
          counts
          short="On each"
          label={`${flower.name} on each of ${pieceName}`}
          value={placed.placement.perPiece}
          schema={perPieceSchema}
          onChange={(perPiece) => change('number', { placement: { kind: 'each', perPiece } })}
        />
      ) : placed.placement.kind === 'line' ? (
        <div>
          <Link to={`place/${pieceId}`} className={css.placed}>
            along its lines
          </Link>
          {units !== null && <div className="quiet">{units} units</div>}
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
          {units !== null && <span className="quiet">{units} units</span>}
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
    </>
  )
})

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
