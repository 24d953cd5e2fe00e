import { shallowEqual } from '@mantine/hooks'
import { memo, useMemo } from 'react'
import type { Order, Piece } from '#core/model/order'
import type { Plan } from '#core/model/plan'
import type { Workshop } from '#core/model/workshop'
import { surfaceDefinition } from '#core/surfaces/index'
import { countIn, useOrderEditor } from '../../../data/orderEditor.tsx'
import { drawnFlowers } from '../../../drawings/drawnFlowers.ts'
import { PiecePicture } from '../../../drawings/PiecePicture.tsx'
import { useLength } from '../../../parts/length.tsx'
import { useWeight, Was } from '../../../parts/weight.tsx'
import { coatsOf } from '../../../solid/bodyOf.ts'
import { AddPiece } from './AddPiece.tsx'
import css from './Pieces.module.css'

const OPENED_PX = 190
const SMALL_PX = 52

/** The opened piece's picture, always in view, and beneath it every piece with its count and grams. */
export function PieceRail({ opened, open }: { opened: Piece; open: (id: string) => void }) {
  const { order, plan, planOf, before, beforeOf, workshop } = useOrderEditor()
  const length = useLength()
  const weight = useWeight()
  const each = (p: Plan | undefined, of: Order | undefined, piece: Piece) => {
    const grams = pipedOn(p, piece.id)
    return grams === undefined ? undefined : weight(grams / countIn(of, piece))
  }
  const picture = (piece: Piece, size: number) => (
    <Picture {...{ piece, workshop, size }} numbers={countsOn(plan, planOf, piece)} colours={order.colours} />
  )
  const now = each(plan, planOf, opened)
  return (
    <div className={css.rail}>
      <div className={css.picture}>
        {picture(opened, OPENED_PX)}
        <p className="quiet">{surfaceDefinition(opened.shape.kind).describe(opened.shape, length)}</p>
        {now !== undefined && (
          <p>
            <span className={`${css.grams} figure`}>{now}</span> <span className="quiet">on each</span>
            <Was now={now} before={each(before, beforeOf, opened)} />
          </p>
        )}
      </div>
      <ul className={css.pieces} aria-label="All pieces">
        {order.pieces.map((piece) => (
          <li key={piece.id}>
            <button
              type="button"
              className={css.one}
              aria-pressed={piece.id === opened.id}
              onClick={() => open(piece.id)}
            >
              {picture(piece, SMALL_PX)}
              <span>
                <strong>{piece.name}</strong>
                <span className="quiet">
                  {piece.count} × {each(plan, planOf, piece) ?? '…'}
                </span>
              </span>
            </button>
          </li>
        ))}
      </ul>
      <AddPiece open={open} />
    </div>
  )
}

function pipedOn(plan: Plan | undefined, pieceId: string): number | undefined {
  return plan?.uses
    .filter((u) => u.pieceId === pieceId)
    .reduce((sum, u) => sum + u.parts.reduce((s, p) => s + p.piped, 0), 0)
}

/** A piece as it is now; drawn anew only when something on it has changed, not when there are more of it. */
const Picture = memo(
  function Picture(props: {
    piece: Piece
    /** How many of each flower stand on it, as `countsOn` has it. */
    numbers: string
    colours: Order['colours']
    workshop: Workshop
    size: number
  }) {
    const { piece, numbers, colours, workshop } = props
    const drawn = useMemo(() => {
      const onEach = new Map(JSON.parse(numbers) as [string, number][])
      return drawnFlowers(piece, colours, workshop, ({ id }) => onEach.get(id) ?? 1)
    }, [piece, colours, workshop, numbers])
    const coats = useMemo(() => coatsOf(piece, colours), [piece, colours])
    return <PiecePicture piece={piece} flowers={drawn} coats={coats} workshop={workshop} size={props.size} />
  },
  ({ piece: a, ...before }, { piece: b, ...now }) =>
    shallowEqual(before, now) && shallowEqual({ ...a, count: b.count }, b),
)

/** How many of each flower the plan has on a piece, to be compared. */
function countsOn(plan: Plan | undefined, of: Order | undefined, piece: Piece): string {
  const counts = new Map<string, number>()
  for (const use of plan?.uses ?? [])
    if (use.pieceId === piece.id && use.placedId !== null && !counts.has(use.placedId))
      counts.set(use.placedId, Math.round(use.flowers / countIn(of, piece)))
  return JSON.stringify([...counts])
}
