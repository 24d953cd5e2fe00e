import { ActionIcon, Select } from '@mantine/core'
import { IconX } from '@tabler/icons-react'
import { Line as Stroke } from 'react-konva'
import type { Line } from '#core/model/layout'
import { growSpray, removeLine } from '#core/orders/lines'
import { lineMm } from '#core/placing/onLine'
import type { PlacedKind } from '#core/placing/placedKinds'
import { isRound, openingSize } from '#core/tips/index'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { useLength } from '../../../parts/length.tsx'
import { newId } from '../../../parts/newId.ts'
import type { DrawnLine } from './drawnLines.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'
import type { View } from './views.ts'

/** Stems as they lie in a view, under what grows along them. */
export function StemMarks({ drawn, view }: { drawn: readonly DrawnLine[]; view: View }) {
  return drawn
    .filter(({ line }) => line.kind === 'spray')
    .flatMap(({ line, points, beadMm, hex }) =>
      view.trace(points).map((run, i) => (
        <Stroke
          // biome-ignore lint/suspicious/noArrayIndexKey: a run of a stem has no name but its turn
          key={`${line.id} ${i}`}
          points={run.flatMap(({ x, y }) => [x, y])}
          stroke={hex}
          strokeWidth={Math.max(1, beadMm * view.pxPerMm)}
          lineCap="round"
          lineJoin="round"
          listening={false}
        />
      )),
    )
}

/** Grows as a leaf on a stem; everything else as a bud, flowers seen from the side too. */
export const isLeafy = ({ form }: PlacedKind): boolean => form === 'leaf' || form === 'vine'

/** Every line that was drawn: what grows along it, and out with it. */
export function LineList({ placing, drawn }: { placing: Placing; drawn: readonly DrawnLine[] }) {
  const { order, workshop, edit } = useOrderEditor()
  const length = useLength()
  if (drawn.length === 0) return null
  const { piece, layout, kinds } = placing
  const plain = placing.hand.kinds
  const regrow = (line: Extract<Line, { kind: 'spray' }>, label: string) =>
    edit(
      label,
      (o) => growSpray(o, piece.id, layout.id, line, plain, newId),
      `${line.id} ${label} ${newId()}`,
    )
  const leaves = kinds.filter(isLeafy)
  const buds = kinds.filter((k) => !isLeafy(k))
  const choose = (list: typeof kinds) => [
    { value: '', label: 'none' },
    ...list.map((k) => ({ value: k.placedId, label: `${k.name}, ${length(Math.round(2 * k.kind.r))}` })),
  ]
  return (
    <section aria-label="Lines that were drawn">
      {drawn.map(({ line, points }, i) => (
        <div key={line.id} className={css.lineRow}>
          <div className={css.hideRow}>
            <strong>
              {line.kind === 'spray'
                ? 'Spray'
                : (placing.borders.find((b) => b.placedId === line.placedId)?.name ?? 'Border')}
              , {length(Math.round(lineMm(points)))} long
            </strong>
            <ActionIcon
              variant="outline"
              size={40}
              aria-label={`Take out line ${i + 1}`}
              onClick={() => edit('take out a line', (o) => removeLine(o, piece.id, layout.id, line.id))}
            >
              <IconX size={20} stroke={1.6} />
            </ActionIcon>
          </div>
          {line.kind === 'spray' && (
            <div className={css.lineFields}>
              <Select
                label="Leaf"
                value={line.leafId ?? ''}
                data={choose(leaves)}
                onChange={(id) => regrow({ ...line, leafId: id || null }, 'leaf of a spray')}
              />
              <Select
                label="Bud"
                value={line.budId ?? ''}
                data={choose(buds)}
                onChange={(id) => regrow({ ...line, budId: id || null }, 'bud of a spray')}
              />
              <Select
                label="Stem colour"
                value={line.colourId}
                data={order.colours.map((c) => ({ value: c.id, label: c.name }))}
                onChange={(id) => id && regrow({ ...line, colourId: id }, 'colour of a stem')}
              />
              <Select
                label="Stem opening"
                value={line.tipId}
                data={workshop.tips
                  .filter((t) => isRound(t.opening) && openingSize(t.opening) <= THICKEST_MM)
                  .map((t) => ({ value: t.id, label: `${length(openingSize(t.opening))} round` }))}
                onChange={(id) => id && regrow({ ...line, tipId: id }, 'opening of a stem')}
              />
            </div>
          )}
        </div>
      ))}
    </section>
  )
}

/** Thicker than this is no stem, mm. */
const THICKEST_MM = 5
