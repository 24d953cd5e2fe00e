import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { supportPages } from '#core/guides/supportGuide'
import type { Cake, Plan } from '#core/model/plan'
import { isCake } from '#core/orders/tiers'
import { type CakeTier, tierName } from '#core/surfaces/cake'
import { chartOf } from '#core/surfaces/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { useLength } from '../../../parts/length.tsx'
import { printPages, savePages } from '../../../parts/printPages.ts'
import { Loading } from '../../../parts/states.tsx'
import { useParts } from '../../../parts/weight.tsx'
import css from './Cakes.module.css'

/** What every cake of the order stands on, what holds it up, what it weighs and the box that takes it. */
export function Cakes() {
  const { plan, faults } = useOrderEditor()
  if (!plan) return faults.length > 0 ? null : <Loading what="supports and boxes" />
  return (
    <>
      {plan.cakes.map((cake) => (
        <CakeCard key={cake.pieceId} cake={cake} />
      ))}
      {plan.boards.map((board) => (
        <BoardCard key={board.pieceId} board={board} />
      ))}
    </>
  )
}

function CakeCard({ cake }: { cake: Cake }) {
  const { order } = useOrderEditor()
  const length = useLength()
  const weights = useParts()(cake.tiers.map((t) => t.grams))
  const piece = order.pieces.find((p) => p.id === cake.pieceId)
  if (!piece || !isCake(piece)) return null
  const { tiers } = piece.shape
  const nameOf = (i: number) => tierName(i, tiers.length) || 'cake'
  const held = cake.tiers.flatMap(({ supports }, i) => {
    const upper = tiers[i + 1]
    return supports && upper ? [{ ...supports, name: nameOf(i + 1), aboveMm: upper.diameterMm }] : []
  })
  const pages = () => supportPages(held, `Supports: ${piece.name}`)
  return (
    <Card
      title={piece.name}
      aside={`${weights.total} each, without boards${cake.count > 1 ? `; ${cake.count} of them` : ''}`}
      actions={
        held.length > 0 && (
          <div className={css.buttons}>
            <Button onClick={() => printPages(pages(), 'Supports')}>Print push-in template</Button>
            <Button onClick={() => savePages(pages(), `supports-${order.id}`)}>Save as SVG</Button>
          </div>
        )
      }
    >
      <div className={css.cake}>
        <SideView cake={cake} tiers={tiers} />
        <dl className={css.list}>
          {cake.tiers
            .map(({ supports, board }, i) => ({ name: nameOf(i), supports, board, grams: weights.parts[i]! }))
            .reverse()
            .map(({ name, grams, supports, board }) => (
              <div key={name}>
                <dt>{name[0]!.toUpperCase() + name.slice(1)}</dt>
                <dd>
                  {grams}
                  {board &&
                    `, on a board of its own: ${length(board.diameterMm)}, ${length(board.thickMm)} thick`}
                  {supports && (
                    <>
                      <br />
                      <strong>{supports.count} supports</strong> of {length(supports.lengthMm)}, cut level, on
                      a ring {length(2 * supports.ringMm)} across
                    </>
                  )}
                </dd>
              </div>
            ))}
          <div>
            <dt>Stands on</dt>
            <dd>
              a board of {length(cake.base.diameterMm)}, {length(cake.base.thickMm)} thick
              {cake.rod && ', with a rod through the middle'}
            </dd>
          </div>
          <div>
            <dt>Box</dt>
            <dd>
              {length(cake.box.sideMm)} square inside, {length(cake.box.highMm)} high
            </dd>
          </div>
        </dl>
      </div>
      <p className="quiet">
        Cautious starts, to be changed in the settings: your practice and what your supplier says of boards
        and supports decide. Count supports and rod in, and out again before it is eaten; cut them away from
        the hand.
      </p>
    </Card>
  )
}

/** What lies on a board that is not round: how large it is, its box, and the cake that a vase is cut from. */
function BoardCard({ board }: { board: Plan['boards'][number] }) {
  const { order, workshop } = useOrderEditor()
  const length = useLength()
  const piece = order.pieces.find((p) => p.id === board.pieceId)
  const chart = useMemo(() => piece && chartOf(piece.shape), [piece])
  if (!piece || !chart) return null
  const { wideMm, deepMm, thickMm, boxHighMm, cutFrom, count } = board
  const rims = chart.above.map((loop) => `M${loop.map(({ x, y }) => `${x} ${-y}`).join('L')}z`).join('')
  return (
    <Card title={piece.name} aside={count > 1 ? `${count} of them` : undefined}>
      <div className={css.cake}>
        <svg
          className={css.side}
          viewBox={`${-wideMm / 2 - 4} ${-deepMm / 2 - 4} ${wideMm + 8} ${deepMm + 8}`}
          role="img"
          aria-label="The board from above"
        >
          <rect x={-wideMm / 2} y={-deepMm / 2} width={wideMm} height={deepMm} rx={3} />
          <path d={rims} className={css.rims} />
        </svg>
        <dl className={css.list}>
          <div>
            <dt>Lies on</dt>
            <dd>
              a board of {length(wideMm)} by {length(deepMm)}, {length(thickMm)} thick:{' '}
              {length(workshop.settings.boardMarginMm)} to be seen on every side
            </dd>
          </div>
          {cutFrom && (
            <div>
              <dt>Vase</dt>
              <dd>
                cut from a cake of at least {length(Math.ceil(cutFrom.wideMm))} by{' '}
                {length(Math.ceil(cutFrom.deepMm))}
              </dd>
            </div>
          )}
          <div>
            <dt>Box</dt>
            <dd>
              {length(wideMm)} by {length(deepMm)} inside, {length(boxHighMm)} high
            </dd>
          </div>
        </dl>
      </div>
      <p className="quiet">
        {piece.shape.kind === 'bouquet' && 'A dot of icing under each case keeps it where it is. '}
        What your supplier says of boards and boxes decides.
      </p>
    </Card>
  )
}

/** The cake from the side, its supports dashed. */
function SideView({ cake, tiers: shapes }: { cake: Cake; tiers: readonly CakeTier[] }) {
  const high = shapes.reduce((sum, s) => sum + s.heightMm, 0) + cake.base.thickMm
  const wide = cake.base.diameterMm
  let foot = -cake.base.thickMm
  const tiers = shapes.map((shape, i) => {
    const top = foot - shape.heightMm
    const supports = cake.tiers[i]!.supports
    const drawn = (
      // biome-ignore lint/suspicious/noArrayIndexKey: a tier has no name but its place
      <g key={i}>
        <rect x={-shape.diameterMm / 2} y={top} width={shape.diameterMm} height={shape.heightMm} rx={3} />
        {supports &&
          Array.from({ length: supports.count }, (_, k) => {
            const x = supports.ringMm * Math.cos((2 * Math.PI * (k + 0.25)) / supports.count)
            // biome-ignore lint/suspicious/noArrayIndexKey: supports have no name but their place
            return <line key={k} x1={x} x2={x} y1={top + 2} y2={foot - 2} className={css.support} />
          })}
      </g>
    )
    foot = top
    return drawn
  })
  return (
    <svg
      className={css.side}
      viewBox={`${-wide / 2 - 4} ${-high - 4} ${wide + 8} ${high + 8}`}
      role="img"
      aria-label="The cake from the side"
    >
      <rect x={-wide / 2} y={-cake.base.thickMm} width={wide} height={cake.base.thickMm} />
      {tiers}
      {cake.rod && <line x1={0} x2={0} y1={0} y2={-high + 8} className={css.rod} />}
    </svg>
  )
}
