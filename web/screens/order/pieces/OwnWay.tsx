import { Button, Checkbox, Group, Modal, Select } from '@mantine/core'
import type { Flower } from '#core/model/flower'
import { type PlacedFlower, placedFlowerSchema, type TwoTone, twoToneSchema } from '#core/model/order'
import { withWhatIsSetOn } from '#core/model/placeFaults'
import { useOrderBase } from '../../../data/orderEditor.tsx'
import { NumberField, OptionalNumberField } from '../../../parts/NumberField.tsx'
import { AddedLayers } from './AddedLayers.tsx'
import css from './Pieces.module.css'

const ways = [
  { value: 'plain', label: 'one colour' },
  { value: 'striped', label: 'a stripe along the wide end' },
  { value: 'halves', label: 'two halves' },
  { value: 'layered', label: 'two tones around the wall' },
]
const shareSchema = twoToneSchema.shape.share.unwrap()
const START_SHARE = 0.3
const batchSchema = placedFlowerSchema.shape.batch.unwrap().unwrap()

type Part = Pick<PlacedFlower, 'leftOut' | 'twoTone' | 'layerColours' | 'added' | 'batch'>

interface Own {
  recipe: Flower
  placed: PlacedFlower
  onChange: (part: (now: PlacedFlower) => Partial<Part>) => void
}

/** A flower otherwise than its recipe, for this order only: parts in two tones, layers left out or added, in batches. */
export function OwnWay(props: Own & { opened: boolean; close: () => void }) {
  const { recipe, placed, onChange } = props
  const waiting = recipe.setting === 'nail' ? recipe.layers.slice(1).filter((l) => l.mayWait) : []
  return (
    <Modal opened={props.opened} onClose={props.close} title={`${recipe.name}, for this order`} size="lg">
      <p className="quiet">The recipe stays as it is; only this piece of this order is piped otherwise.</p>
      <TwoTones {...{ recipe, placed, onChange }} />
      <h3 className={css.ownHead}>Layers</h3>
      <LeftOut {...{ recipe, placed, onChange }} />
      <AddedLayers
        recipe={recipe}
        placed={placed}
        onChange={(added) => onChange((now) => ({ added: added(now.added) }))}
      />
      {waiting.length > 0 && (
        <>
          <h3 className={css.ownHead}>On the nail</h3>
          <OptionalNumberField
            label="Squares at a time (empty: one flower after another)"
            value={placed.batch}
            schema={batchSchema}
            onChange={(batch) => onChange(() => ({ batch }))}
          />
          <p className="quiet">
            {waiting.map((l) => l.name).join(', ')} may wait until so many squares stand to it; no longer than
            the icing takes to crust.
          </p>
        </>
      )}
      <Group justify="space-between" mt="md">
        <Button
          disabled={
            placed.leftOut.length + placed.added.length + Object.keys(placed.twoTone).length === 0 &&
            placed.batch === null
          }
          onClick={() => onChange(() => ({ leftOut: [], twoTone: {}, added: [], batch: null }))}
        >
          As the recipe says
        </Button>
        <Button variant="filled" onClick={props.close}>
          Done
        </Button>
      </Group>
    </Modal>
  )
}

function TwoTones({ recipe, placed, onChange }: Own) {
  const { colours } = useOrderBase()
  const plainRoles = recipe.roles.filter((r) =>
    recipe.layers.some((l) => l.load.kind === 'plain' && l.load.role === r.id),
  )
  const setTone = (roleId: string, tone: TwoTone | null) =>
    onChange((now) => {
      const { [roleId]: _, ...others } = now.twoTone
      return { twoTone: tone ? { ...others, [roleId]: tone } : others }
    })
  const begin = (roleId: string, kind: TwoTone['kind']) => {
    const now = placed.twoTone[roleId]
    const second = colours.find((c) => c.id !== placed.colours[roleId]) ?? colours[0]
    const colourId = now?.colourId ?? second?.id
    if (colourId) setTone(roleId, { kind, colourId, share: now?.share ?? START_SHARE })
  }
  return (
    <>
      <h3 className={css.ownHead}>In two tones</h3>
      {colours.length < 2 && <p className="quiet">The order needs a second colour first.</p>}
      {plainRoles.map((role) => {
        const tone = placed.twoTone[role.id]
        return (
          <Group key={role.id} align="flex-end" gap="sm" mb="xs">
            <Select
              label={role.name}
              w={230}
              data={ways}
              value={tone?.kind ?? 'plain'}
              disabled={colours.length < 2}
              onChange={(kind) =>
                kind && (kind === 'plain' ? setTone(role.id, null) : begin(role.id, kind as TwoTone['kind']))
              }
            />
            {tone && (
              <Select
                label="Second colour"
                w={170}
                value={tone.colourId}
                data={colours.map((c) => ({ value: c.id, label: c.name }))}
                onChange={(colourId) => colourId && setTone(role.id, { ...tone, colourId })}
              />
            )}
            {tone?.kind === 'striped' && (
              <NumberField
                label="Of the slot"
                value={tone.share}
                schema={shareSchema}
                step={0.05}
                decimals={2}
                onChange={(share) => setTone(role.id, { ...tone, share })}
              />
            )}
          </Group>
        )
      })}
    </>
  )
}

function LeftOut({ recipe, placed, onChange }: Own) {
  return (
    <>
      {recipe.layers.map((layer) => {
        const chosen = placed.leftOut.includes(layer.id)
        const carried = !chosen && withWhatIsSetOn(recipe, placed.leftOut).has(layer.id)
        const without = withWhatIsSetOn(recipe, [...placed.leftOut, layer.id])
        const last = !chosen && !carried && without.size >= recipe.layers.length
        const why = carried ? ' (set on what is left out)' : last ? ' (something has to stay)' : ''
        return (
          <Checkbox
            key={layer.id}
            mb={8}
            label={`${layer.name}${why}`}
            checked={!chosen && !carried}
            disabled={last || carried}
            onChange={(e) => {
              const keep = e.currentTarget.checked
              onChange((now) => ({
                leftOut: keep
                  ? now.leftOut.filter((id) => id !== layer.id)
                  : [...now.leftOut.filter((id) => id !== layer.id), layer.id],
              }))
            }}
          />
        )
      })}
    </>
  )
}
