import { Button, Menu } from '@mantine/core'
import type { Piece } from '#core/model/order'
import { newPiece } from '#core/orders/new'
import { type SurfaceKind, surfaces } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { AdviceList } from '../../../parts/AdviceList.tsx'
import { Card } from '../../../parts/Card.tsx'
import { newId } from '../../../parts/newId.ts'
import { Empty } from '../../../parts/states.tsx'
import { PieceCard } from './PieceCard.tsx'
import css from './Pieces.module.css'

/** The pieces of the order, each with the flowers that go on it. */
export function Pieces() {
  const { order, plan, edit, take, faults } = useOrderEditor()
  const advice = plan?.advice.filter((a) => a.about.kind === 'piece' || a.about.kind === 'flower') ?? []
  const toDecide = advice.filter((a) => a.severity !== 'note')
  const notes = advice.filter((a) => a.severity === 'note')
  const add = (kind: SurfaceKind) =>
    edit('add a piece', (o) => ({ ...o, pieces: [...o.pieces, newPiece(newId(), kind)] }))

  const adder = (
    <Menu position="bottom-start">
      <Menu.Target>
        <Button variant={order.pieces.length === 0 ? 'filled' : 'outline'}>Add a piece</Button>
      </Menu.Target>
      <Menu.Dropdown>
        {(Object.keys(surfaces) as SurfaceKind[]).map((kind) => (
          <Menu.Item key={kind} onClick={() => add(kind)}>
            {surfaces[kind].plural[0]!.toUpperCase() + surfaces[kind].plural.slice(1)}
          </Menu.Item>
        ))}
      </Menu.Dropdown>
    </Menu>
  )

  if (order.pieces.length === 0)
    return (
      <Card>
        <Empty title="No pieces yet" action={adder}>
          A piece is what flowers go on: a group of cupcakes or cookies that look alike, a cake tier, a sheet.
        </Empty>
      </Card>
    )
  return (
    <div className={css.page}>
      {faults.length > 0 && (
        <Card title="This cannot be planned yet">
          <ul>
            {faults.map((f) => (
              <li key={f.path.join('/')}>{f.message}</li>
            ))}
          </ul>
        </Card>
      )}
      {toDecide.length > 0 && (
        <Card title="Worth a look">
          <AdviceList advice={toDecide} take={take} />
        </Card>
      )}
      {order.pieces.map((piece: Piece, i) => (
        <PieceCard key={piece.id} piece={piece} index={i} />
      ))}
      <div>{adder}</div>
      {notes.length > 0 && (
        <Card title="Good to know">
          <AdviceList advice={notes} take={take} />
        </Card>
      )}
    </div>
  )
}
