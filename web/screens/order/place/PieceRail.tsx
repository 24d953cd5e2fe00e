import { Link } from 'react-router'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import css from './Place.module.css'

/** The pieces of the order, to choose the one that is placed. */
export function PieceRail({ chosenId }: { chosenId: string }) {
  const { order } = useOrderEditor()
  return (
    <nav aria-label="Pieces" className={css.rail}>
      {order.pieces.map((piece) => (
        <Link
          key={piece.id}
          to={`/orders/${order.id}/pieces/place/${piece.id}`}
          className={css.railPiece}
          aria-current={piece.id === chosenId ? 'page' : undefined}
        >
          <span className={css.railTop}>
            <span className={`${css.railCount} figure`}>{piece.count}</span>
            <span className="quiet">{placedWords(piece.layouts.length)}</span>
          </span>
          {piece.name}
        </Link>
      ))}
    </nav>
  )
}

const placedWords = (layouts: number) =>
  layouts === 0 ? 'not placed' : layouts === 1 ? 'placed' : `${layouts} ways`
