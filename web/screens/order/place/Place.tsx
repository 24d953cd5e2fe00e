import { Link, useParams } from 'react-router'
import type { Piece } from '#core/model/order'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { Empty, Loading } from '../../../parts/states.tsx'
import { Bench } from './Bench.tsx'
import { FirstSchool } from './FirstSchool.tsx'
import { PieceRail } from './PieceRail.tsx'
import css from './Place.module.css'
import { usePlacing } from './usePlacing.ts'

/** Where every flower of a piece stands. */
export function Place() {
  const { order } = useOrderEditor()
  const { pieceId } = useParams()
  const piece = order.pieces.find((p) => p.id === pieceId) ?? order.pieces[0]
  if (!piece)
    return (
      <Card>
        <Empty title="No pieces yet">Add a piece first: flowers are placed on something.</Empty>
      </Card>
    )
  return <PlacePiece key={piece.id} piece={piece} />
}

function PlacePiece({ piece }: { piece: Piece }) {
  const placing = usePlacing(piece)
  const flowers = piece.flowers.some((f) => f.placement.kind === 'each')
  if (placing && piece.layouts.length > 0)
    return (
      <div className={css.bench}>
        <PieceRail chosenId={piece.id} />
        <Bench placing={placing} />
      </div>
    )
  return (
    <div className={css.bench}>
      <PieceRail chosenId={piece.id} />
      <div style={{ gridColumn: '2 / -1' }}>
        {!flowers ? (
          <Card title={piece.name}>
            <Empty title="Nothing to place yet">
              <Link to="..">Put flowers on it</Link> first; then say where they go.
            </Empty>
          </Card>
        ) : placing ? (
          <FirstSchool placing={placing} />
        ) : (
          <Card title={piece.name}>
            <Loading what="its flowers" />
          </Card>
        )}
      </div>
    </div>
  )
}
