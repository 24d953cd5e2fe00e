import { Outlet, useMatch, useSearchParams } from 'react-router'
import { standsOnBoard } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { PartLinks } from '../../../parts/PartLinks.tsx'

/** The parts of what is to be made: what is on each piece, where it goes, how it all stands together. */
export function PiecesFrame() {
  const { order } = useOrderEditor()
  const [params] = useSearchParams()
  // the piece that is open stays open from part to part
  const opened = useMatch('/orders/:orderId/pieces/place/:pieceId')?.params.pieceId ?? params.get('piece')
  if (order.pieces.length === 0) return <Outlet />
  const onBoards = order.pieces.some(({ shape }) => standsOnBoard(shape))
  const parts = [
    { to: opened ? `.?piece=${opened}` : '.', end: true, name: 'On each' },
    { to: opened ? `place/${opened}` : 'place', end: false, name: 'Place' },
    { to: 'tray', end: false, name: 'Tray' },
    ...(onBoards ? [{ to: 'boards', end: false, name: 'Supports and boxes' }] : []),
  ]
  return (
    <>
      <PartLinks label="Parts of the pieces" parts={parts} />
      <Outlet />
    </>
  )
}
