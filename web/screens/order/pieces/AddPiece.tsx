import { Button, Menu } from '@mantine/core'
import { memo } from 'react'
import { Link } from 'react-router'
import { newPiece } from '#core/orders/new'
import { type SurfaceKind, surfaces } from '#core/surfaces/index'
import { useOrderBase } from '../../../data/orderEditor.tsx'
import { AskedMenu } from '../../../parts/AskedMenu.tsx'
import { newId } from '../../../parts/newId.ts'

/** Adds a piece of a kind and opens it. */
export const AddPiece = memo(function AddPiece(props: { first?: boolean; open: (id: string) => void }) {
  const { edit } = useOrderBase()
  function add(kind: SurfaceKind) {
    const piece = newPiece(newId(), kind)
    edit('add a piece', (o) => ({ ...o, pieces: [...o.pieces, piece] }))
    props.open(piece.id)
  }
  return (
    <AskedMenu
      position="bottom-start"
      button={<Button variant={props.first ? 'filled' : 'outline'}>Add a piece</Button>}
    >
      <Menu.Item component={Link} to="?words">
        In words…
      </Menu.Item>
      <Menu.Divider />
      {(Object.keys(surfaces) as SurfaceKind[]).map((kind) => (
        <Menu.Item key={kind} onClick={() => add(kind)}>
          {surfaces[kind].plural[0]!.toUpperCase() + surfaces[kind].plural.slice(1)}
        </Menu.Item>
      ))}
    </AskedMenu>
  )
})
