import { useCallback } from 'react'
import { useSearchParams } from 'react-router'
import type { Piece } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { AT_ONCE } from '../../../parts/openAtOnce.ts'
import { Empty } from '../../../parts/states.tsx'
import { FirstToDecide } from '../advice/FirstToDecide.tsx'
import { AddPiece } from './AddPiece.tsx'
import { PieceEditor } from './PieceEditor.tsx'
import { PieceRail } from './PieceRail.tsx'
import css from './Pieces.module.css'
import { PiecesInWords } from './PiecesInWords.tsx'

/** The pieces of the order as small pictures, and the opened one beside them with what goes on it; the address says which. */
export function Pieces() {
  const { order, faults } = useOrderEditor()
  const [params, setParams] = useSearchParams()
  const open = useCallback((id: string) => setParams({ piece: id }, AT_ONCE), [setParams])
  if (order.pieces.length === 0)
    return (
      <Card>
        <Empty title="No pieces yet" action={<AddPiece first open={open} />}>
          A piece is what flowers go on: a group of cupcakes or cookies that look alike, a cake tier, a sheet.
        </Empty>
        <PiecesInWords open={open} />
      </Card>
    )
  const opened: Piece = order.pieces.find((p) => p.id === params.get('piece')) ?? order.pieces[0]!
  return (
    <>
      {faults.length > 0 && (
        <Card title="This cannot be planned yet">
          <ul>
            {faults.map((f) => (
              <li key={f.path.join('/')}>{f.message}</li>
            ))}
          </ul>
        </Card>
      )}
      <FirstToDecide at="pieces" />
      {params.has('words') && <PiecesInWords open={open} />}
      <div className={css.page}>
        <PieceRail opened={opened} open={open} />
        <PieceEditor key={opened.id} piece={opened} open={open} />
      </div>
    </>
  )
}
