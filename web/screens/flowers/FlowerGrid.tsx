import { useElementSize } from '@mantine/hooks'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useRef } from 'react'
import type { Flower } from '#core/model/flower'
import type { Workshop } from '#core/model/workshop'
import css from './Flowers.module.css'
import { FlowerTile } from './FlowerTile.tsx'

/** As small as a flower's picture still tells it from its sisters, px. */
const LEAST_TILE = 138
/** Picture's margins, name and size under it, px. */
const WORDS_UNDER = 52
const GAP = 10

/** The library within a frame of its own, what seeks it in view above: only what is looked at is drawn. */
export function FlowerGrid({ flowers, workshop }: { flowers: readonly Flower[]; workshop: Workshop }) {
  const frame = useRef<HTMLElement>(null)
  const { ref, width } = useElementSize<HTMLUListElement>()
  const columns = Math.max(1, Math.floor((width + GAP) / (LEAST_TILE + GAP)))
  const tile = (width - GAP * (columns - 1)) / columns
  const rows = useVirtualizer({
    count: width > 0 ? Math.ceil(flowers.length / columns) : 0,
    getScrollElement: () => frame.current,
    estimateSize: () => tile + WORDS_UNDER + GAP,
    overscan: 1,
  })
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: it scrolls, by keyboard too
    <section ref={frame} className={css.frame} tabIndex={0} aria-label="The library">
      <ul ref={ref} className={css.grid} style={{ height: rows.getTotalSize() }}>
        {rows.getVirtualItems().flatMap((row) =>
          flowers.slice(row.index * columns, (row.index + 1) * columns).map((flower, i) => (
            <li
              key={flower.id}
              style={{
                width: tile,
                height: row.size - GAP,
                transform: `translate(${i * (tile + GAP)}px, ${row.start}px)`,
              }}
            >
              <FlowerTile flower={flower} workshop={workshop} />
            </li>
          )),
        )}
      </ul>
    </section>
  )
}
