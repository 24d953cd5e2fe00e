import { Button } from '@mantine/core'
import { useState } from 'react'
import { flowerForOrder } from '#core/flowers/forOrder'
import type { Order } from '#core/model/order'
import { applied, type FewerMove } from '#core/plan/fewer/offer'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlowerPicture } from '../../../drawings/FlowerPicture.tsx'
import { OpeningDrawing } from '../../../drawings/OpeningDrawing.tsx'
import { usePicture } from '../../../workers/flowers.ts'
import css from './Fewer.module.css'

/** Moves that are shown at once: the first of them save most. */
const MOST_SHOWN = 10

/** The moves of one choice, in the order in which they save most: openings, the flower before and after, and words. */
export function FewerMoves({
  moves,
  take,
}: {
  moves: readonly FewerMove[]
  take: (label: string, changes: FewerMove['changes']) => void
}) {
  const { order, workshop } = useOrderEditor()
  const [all, setAll] = useState(false)
  const shown = all ? moves : moves.slice(0, MOST_SHOWN)
  return (
    <>
      <ol className={css.moves}>
        {shown.map((move, i) => (
          <li key={JSON.stringify(move.changes)}>
            <span className={css.openings}>
              {move.fromTipIds.slice(0, 1).map((id) => (
                <Opening key={id} tipId={id} id={`fewer-from-${i}`} />
              ))}
              {move.toTipId && <span aria-hidden="true">→</span>}
              {move.toTipId && <Opening tipId={move.toTipId} id={`fewer-to-${i}`} />}
            </span>
            <span className={css.openings}>
              {move.shows && (
                <>
                  <Shown of={applied(order, move.before)} placed={move.shows} as="before" />
                  <span aria-hidden="true">→</span>
                  <Shown
                    of={applied(order, [...move.before, ...move.changes])}
                    placed={move.shows}
                    as="after"
                  />
                </>
              )}
            </span>
            <span>
              <strong>{move.what}</strong>
              <br />
              <span className="quiet">
                {savesWords(move)}
                {move.effect && `; ${move.effect}`}
              </span>
            </span>
            <Button size="compact-md" onClick={() => take('a layer otherwise', move.changes)}>
              Take this
            </Button>
          </li>
        ))}
      </ol>
      {shown.length < moves.length && (
        <Button mb="sm" onClick={() => setAll(true)}>
          Show the other {moves.length - shown.length}
        </Button>
      )}
    </>
  )

  function Opening({ tipId, id }: { tipId: string; id: string }) {
    const tip = workshop.tips.find((t) => t.id === tipId)
    return tip ? <OpeningDrawing opening={tip.opening} box={44} pxPerMm={3} id={id} /> : null
  }
}

/** One flower of an order from above, as it would be piped. */
function Shown({ of, placed: key, as }: { of: Order; placed: string; as: string }) {
  const { workshop } = useOrderEditor()
  const [pieceId, placedId] = key.split('.')
  const placed = of.pieces.find((p) => p.id === pieceId)?.flowers.find((f) => f.id === placedId)
  const recipe = workshop.flowers.find((f) => f.id === placed?.flowerId)
  const wanted = recipe && placed ? flowerForOrder(recipe, placed) : null
  const fitting = { sizeMm: placed?.sizeMm ?? null, tips: placed?.tips ?? {} }
  const { picture } = usePicture(wanted?.flower, fitting, workshop)
  if (!wanted || !picture) return <span className={css.blank} />
  const hexOf = (id: string | undefined, role: { hex: string }) =>
    of.colours.find((c) => c.id === id)?.hex ?? role.hex
  const colours = Object.fromEntries(wanted.flower.roles.map((r) => [r.id, hexOf(wanted.colours[r.id], r)]))
  return (
    <FlowerPicture
      shapes={picture.shapes}
      colours={colours}
      size={64}
      label={`${wanted.flower.name} ${as}`}
    />
  )
}

function savesWords({ saves }: FewerMove): string {
  const change = (n: number, one: string) =>
    n === 0 ? null : `${counted(Math.abs(n), one)} ${n > 0 ? 'fewer' : 'more'}`
  const minutes =
    Math.abs(saves.minutes) < 1
      ? 'under a minute'
      : `${formatMinutes(Math.abs(saves.minutes))} ${saves.minutes > 0 ? 'saved' : 'more'}`
  return [change(saves.bags, 'bag'), change(saves.tips, 'tip'), change(saves.portions, 'portion'), minutes]
    .filter(Boolean)
    .join(', ')
}
