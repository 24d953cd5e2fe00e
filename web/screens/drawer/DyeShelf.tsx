import { Button, Group, Modal, Select, Switch, TextInput } from '@mantine/core'
import { useState } from 'react'
import { provenanceWords } from '#core/colour/likely'
import { type Dye, dabSchema, dyeSchema, provenanceOf } from '#core/model/dye'
import type { Workshop } from '#core/model/workshop'
import { counted } from '#core/units'
import { addDye, editDye, removeDye } from '../../data/dyes.ts'
import { NumberField } from '../../parts/NumberField.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { PickColour } from '../../parts/PickColour.tsx'
import { removeWithUndo } from '../../parts/removeWithUndo.tsx'
import { useLadder } from '../../workers/colours.ts'
import css from './Drawer.module.css'

/** Every dye as it looks in plain icing, dose by dose: which are owned, and how well each bottle is known. */
export function DyeShelf({ workshop }: { workshop: Workshop }) {
  const [icingId, setIcingId] = useState(workshop.icings[0]!.id)
  const [adding, setAdding] = useState(false)
  return (
    <>
      <Group mb="md">
        <Select
          aria-label="Dabbed in"
          w={220}
          value={icingId}
          onChange={(id) => id && setIcingId(id)}
          data={workshop.icings.map((i) => ({ value: i.id, label: `in ${i.name.toLowerCase()}` }))}
        />
        <span className="quiet">Drops in 100 g. What you do not own is not mixed from.</span>
        <Button ml="auto" onClick={() => setAdding(true)}>
          Add a bottle of our own
        </Button>
      </Group>
      <ul className={css.dyes}>
        {workshop.dyes.map((dye) => (
          <DyeRow key={dye.id} dye={dye} workshop={workshop} icingId={icingId} />
        ))}
      </ul>
      <AddBottle opened={adding} close={() => setAdding(false)} workshop={workshop} />
    </>
  )
}

function DyeRow({ dye, workshop, icingId }: { dye: Dye; workshop: Workshop; icingId: string }) {
  const [open, setOpen] = useState(false)
  const icing = workshop.icings.find((i) => i.id === icingId) ?? workshop.icings[0]!
  const ladder = useLadder(dye, icing, workshop.icings)
  const known = provenanceOf(dye)
  const save = (part: (now: Dye) => Partial<Dye>) => editDye(dye.id, (now) => ({ ...now, ...part(now) }))
  return (
    <li className={css.dye} data-owned={dye.owned}>
      <Switch
        aria-label={`${dye.name} is owned`}
        checked={dye.owned}
        onChange={(e) => {
          const owned = e.currentTarget.checked
          save(() => ({ owned }))
        }}
      />
      <div>
        <strong>{dye.name}</strong>
        <div className="quiet">
          {provenanceWords[known]}
          {dye.learnt.mixes > 0 && `: ${counted(dye.learnt.mixes, 'bowl')}, ${strengthWords(dye.learnt.log)}`}
        </div>
      </div>
      <div className={css.ladder} role="img" aria-label={`${dye.name} at rising doses`}>
        <span style={{ background: icing.baseHex }}>
          <em>0</em>
        </span>
        {ladder?.steps.map((s) => (
          <span key={s.drops} style={{ background: s.hex }}>
            <em>{s.drops === 0.5 ? '½' : s.drops}</em>
          </span>
        ))}
      </div>
      <Button size="compact-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
        {dye.dabs.length > 0 ? counted(dye.dabs.length, 'dab') : 'Dab it'}
      </Button>
      {open && (
        <div className={css.dabs}>
          <p>
            Stir a counted dose into 100 g of plain icing, let it stand, and say how it looks. One dab at one
            or two drops and one at twenty say most; keep plain icing in every photograph.
            {ladder && dye.dabs.length > 0 && ` The fit misses your dabs by ${missWords(ladder.error)}.`}
          </p>
          {dye.dabs.map((dab, i) => (
            <div key={`${dab.icingKindId} ${dab.drops}`} className={css.dab}>
              <span style={{ background: dab.hex }} className={css.dabSwatch} />
              <span>
                {counted(dab.drops, 'drop')} in 100 g of{' '}
                {workshop.icings.find((k) => k.id === dab.icingKindId)?.name.toLowerCase()}
              </span>
              <Button
                size="compact-xs"
                onClick={() => save((now) => ({ dabs: now.dabs.filter((_, k) => k !== i) }))}
              >
                Take out
              </Button>
            </div>
          ))}
          {dye.dabs.length < 6 && (
            <NewDab
              icing={icing}
              add={(dab) => save((now) => ({ dabs: [...now.dabs, dab] }))}
              taken={dye.dabs.filter((d) => d.icingKindId === icing.id).map((d) => d.drops)}
            />
          )}
          <div className={css.dab}>
            <NumberField
              label="A drop weighs"
              unit="g"
              step={0.005}
              decimals={3}
              width={140}
              value={dye.dropGrams}
              schema={dyeSchema.shape.dropGrams}
              onChange={(dropGrams) => save(() => ({ dropGrams }))}
            />
            <span className="quiet">Count fifty onto the scale and divide.</span>
            {dye.source === 'own' && (
              <Button
                size="compact-sm"
                onClick={() => void removeWithUndo('dyes', dye.id, dye.name, () => removeDye(dye.id))}
              >
                Delete the bottle
              </Button>
            )}
          </div>
        </div>
      )}
    </li>
  )
}

function strengthWords(log: number): string {
  const percent = Math.round(100 * (Math.exp(log) - 1))
  if (Math.abs(percent) < 3) return 'as strong as thought'
  return `${Math.abs(percent)} % ${percent > 0 ? 'stronger' : 'weaker'} than thought`
}

const missWords = (error: number) =>
  error < 1 ? 'less than the eye sees' : error < 2.5 ? 'a little' : 'a lot: look at the dabs again'

function NewDab(props: {
  icing: Workshop['icings'][number]
  add: (dab: Dye['dabs'][number]) => void
  taken: readonly number[]
}) {
  const { icing, add, taken } = props
  const [drops, setDrops] = useState(taken.includes(1) ? 20 : 1)
  const [hex, setHex] = useState(icing.baseHex)
  return (
    <div className={css.newDab}>
      <NumberField
        label="Drops in 100 g"
        value={drops}
        schema={dabSchema.shape.drops}
        width={120}
        onChange={setDrops}
      />
      <PickColour label="How it looks" value={hex} plainHex={icing.baseHex} onChange={setHex} />
      <Button
        variant="filled"
        disabled={hex === icing.baseHex || taken.includes(drops)}
        onClick={() => add({ drops, hex, icingKindId: icing.id })}
      >
        Keep the dab
      </Button>
    </div>
  )
}

/** A bottle of the bakery's own begins as the catalogue's nearest hue; its dabs make it itself. */
function AddBottle(props: { opened: boolean; close: () => void; workshop: Workshop }) {
  const { workshop } = props
  const catalogue = workshop.dyes.filter((d) => d.source === 'catalogue')
  const [name, setName] = useState('')
  const [like, setLike] = useState(catalogue[0]!.id)
  async function add() {
    const hue = catalogue.find((d) => d.id === like)!
    const made = await attempt(() =>
      addDye({ name: name.trim(), weights: hue.weights, owned: true, dropGrams: hue.dropGrams, dabs: [] }),
    )
    if (!made) return
    tell(`“${made.name}” is on the shelf. Dab it in icing to make it known.`)
    setName('')
    props.close()
  }
  return (
    <Modal opened={props.opened} onClose={props.close} title="A bottle of our own">
      <TextInput
        label="What you call it"
        value={name}
        maxLength={80}
        onChange={(e) => setName(e.currentTarget.value)}
      />
      <Select
        mt="sm"
        label="Nearest hue"
        value={like}
        onChange={(id) => id && setLike(id)}
        data={catalogue.map((d) => ({ value: d.id, label: d.name }))}
      />
      <Group justify="flex-end" mt="md">
        <Button onClick={props.close}>Cancel</Button>
        <Button variant="filled" disabled={name.trim() === ''} onClick={() => void add()}>
          Add it
        </Button>
      </Group>
    </Modal>
  )
}
