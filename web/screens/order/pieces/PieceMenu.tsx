import { ActionIcon, Menu } from '@mantine/core'
import { IconDots } from '@tabler/icons-react'
import { Link } from 'react-router'
import type { Piece } from '#core/model/order'
import { duplicatePiece } from '#core/orders/new'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { newId } from '../../../parts/newId.ts'
import { tell } from '../../../parts/notify.tsx'

/** What is done to a piece as a whole. */
export function PieceMenu({ piece, open }: { piece: Piece; open: (id: string) => void }) {
  const { order, edit } = useOrderEditor()
  const index = order.pieces.findIndex((p) => p.id === piece.id)

  function remove() {
    edit('remove a piece', (o) => ({ ...o, pieces: o.pieces.filter((p) => p.id !== piece.id) }))
    tell(`${piece.name} is taken out. Ctrl Z brings it back.`)
  }
  function duplicate() {
    const copy = duplicatePiece(piece, newId)
    edit('duplicate a piece', (o) => {
      const at = o.pieces.findIndex((p) => p.id === piece.id)
      return { ...o, pieces: o.pieces.toSpliced(at + 1, 0, copy) }
    })
    open(copy.id)
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
    <AskedMenu
      position="bottom-end"
      button={
        <ActionIcon aria-label={`More for ${piece.name}`}>
          <IconDots size={20} stroke={1.6} />
        </ActionIcon>
      }
    >
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
    </AskedMenu>
  )
}
