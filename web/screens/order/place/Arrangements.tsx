import { Button, SegmentedControl } from '@mantine/core'
import { MOST_LAYOUTS } from '#core/model/layout'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { newId } from '../../../parts/newId.ts'
import css from './Place.module.css'
import type { Placing } from './usePlacing.ts'

/** The arrangements of a piece: one for all, or several that are shared out. */
export function Arrangements({ placing }: { placing: Placing }) {
  const { piece, index, show } = placing
  const { edit } = useOrderEditor()
  const { layouts } = piece
  const set = (label: string, how: (now: typeof layouts) => typeof layouts) =>
    edit(
      label,
      (o) => ({
        ...o,
        pieces: o.pieces.map((p) => (p.id === piece.id ? { ...p, layouts: how(p.layouts) } : p)),
      }),
      `${piece.id} ${label} ${newId()}`,
    )
  if (piece.count === 1 && layouts.length === 1) return null
  return (
    <div className={css.paneHead} style={{ alignItems: 'center' }}>
      {layouts.length > 1 && (
        <SegmentedControl
          size="xs"
          value={String(index)}
          onChange={(value) => show(Number(value))}
          data={layouts.map((_, i) => ({ value: String(i), label: `Way ${i + 1}` }))}
        />
      )}
      {layouts.length < Math.min(piece.count, MOST_LAYOUTS) && (
        <Button
          size="xs"
          onClick={() => {
            set('another arrangement', (now) => [
              ...now,
              { ...now[index]!, id: newId(), seed: now[index]!.seed + 1 },
            ])
            show(layouts.length)
          }}
        >
          Add a way
        </Button>
      )}
      {layouts.length > 1 && (
        <Button
          size="xs"
          variant="subtle"
          onClick={() => {
            set('take out an arrangement', (now) => now.filter((_, i) => i !== index))
            show(0)
          }}
        >
          Take this way out
        </Button>
      )}
    </div>
  )
}
