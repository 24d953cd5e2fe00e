import { Button, Menu, Modal } from '@mantine/core'
import { useState } from 'react'
import { nameSchema } from '#core/common'
import { newColour } from '#core/model/newColour'
import { useOrderBase } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { HexInput } from '../../../parts/HexInput.tsx'
import { newId } from '../../../parts/newId.ts'
import { Dab } from '../../../parts/Swatch.tsx'
import { TextField } from '../../../parts/TextField.tsx'
import css from './Pieces.module.css'

/** A part of a flower with its colour; opens the order's colours, and a new one to be named and chosen. */
export function RoleChip(props: {
  name: string
  chosen: string | undefined
  onChoose: (colourId: string) => void
}) {
  const { colours, edit } = useOrderBase()
  const [begun, setBegun] = useState<string | null>(null)
  const colour = colours.find((c) => c.id === props.chosen)
  function begin() {
    const id = newId()
    edit('a new colour', (o) => ({
      ...o,
      colours: [...o.colours, newColour(id, `${props.name} colour`, colour?.hex ?? '#d8cfc0')],
    }))
    props.onChoose(id)
    setBegun(id)
  }
  return (
    <>
      <AskedMenu
        position="bottom-start"
        button={
          <button type="button" className={css.role}>
            <Dab hex={colour?.hex ?? '#ffffff'} size={20} />
            <span>
              <small>{props.name}</small> {colour?.name ?? 'choose'}
            </span>
          </button>
        }
      >
        {colours.map((c) => (
          <Menu.Item key={c.id} leftSection={<Dab hex={c.hex} />} onClick={() => props.onChoose(c.id)}>
            {c.name}
          </Menu.Item>
        ))}
        <Menu.Divider />
        <Menu.Item onClick={begin}>A new colour…</Menu.Item>
      </AskedMenu>
      <NewColour id={begun} close={() => setBegun(null)} />
    </>
  )
}

/** The colour just begun: what it is called and how it looks; everything about it is changed under Colours too. */
function NewColour({ id, close }: { id: string | null; close: () => void }) {
  const { colours, edit } = useOrderBase()
  const colour = colours.find((c) => c.id === id)
  const change = (part: { name?: string; hex?: string }) =>
    edit(
      'a new colour',
      (o) => ({ ...o, colours: o.colours.map((c) => (c.id === id ? { ...c, ...part } : c)) }),
      `new colour ${id} ${Object.keys(part).join()}`,
    )
  return (
    <Modal opened={colour !== undefined} onClose={close} title="A new colour">
      {colour && (
        <div className={css.newColour}>
          <TextField
            label="Name"
            value={colour.name}
            schema={nameSchema}
            onChange={(name) => change({ name })}
          />
          <HexInput label="Colour wanted" value={colour.hex} onChange={(hex) => change({ hex })} />
          <Button variant="filled" onClick={close}>
            Done
          </Button>
        </div>
      )}
    </Modal>
  )
}
