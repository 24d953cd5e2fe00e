import { Modal, TextInput } from '@mantine/core'
import { useState } from 'react'
import type { Piece } from '#core/model/order'
import { placeFlower } from '#core/orders/place'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { newId } from '../../../parts/newId.ts'
import { FlowerTile } from '../../flowers/FlowerTile.tsx'
import css from './FlowerChooser.module.css'

/** The library, to put a flower on a piece with one click. Stays open, since pieces wear more than one. */
export function FlowerChooser(props: {
  opened: boolean
  close: () => void
  piece: Piece
  undo: (() => void) | null
}) {
  const { workshop, edit } = useOrderEditor()
  const [search, setSearch] = useState('')
  const [added, setAdded] = useState<string[]>([])
  const shown = workshop.flowers.filter((f) => f.name.toLowerCase().includes(search.trim().toLowerCase()))

  function close() {
    setAdded([])
    setSearch('')
    props.close()
  }
  return (
    <Modal
      opened={props.opened}
      onClose={close}
      size={920}
      title={
        added.length > 0 ? `On ${props.piece.name}: ${added.join(', ')}` : `What goes on ${props.piece.name}?`
      }
      closeButtonProps={{ 'aria-label': 'Done' }}
    >
      <TextInput
        aria-label="Search the library"
        placeholder="Search the library"
        value={search}
        onChange={(e) => setSearch(e.currentTarget.value)}
        data-autofocus
      />
      <ul className={css.grid}>
        {shown.map((flower) => (
          <li key={flower.id}>
            <FlowerTile
              flower={flower}
              workshop={workshop}
              onClick={() => {
                edit(
                  `add ${flower.name}`,
                  (o) => placeFlower(o, props.piece.id, flower, newId).order,
                  `add ${flower.id} ${newId()}`,
                )
                setAdded([...added, flower.name])
              }}
            />
          </li>
        ))}
      </ul>
      {shown.length === 0 && <p className="quiet">No flower of that name. Try a shorter word.</p>}
    </Modal>
  )
}
