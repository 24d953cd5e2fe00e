import { useLocalStorage } from '@mantine/hooks'
import {
  columnVisibilityFeature,
  createSortedRowModel,
  type RowData,
  rowSortingFeature,
  type SortingState,
  tableFeatures,
  useTable,
} from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { type ReactNode, useMemo, useRef, useState } from 'react'
import css from './DataTable.module.css'
import { TableTools } from './TableTools.tsx'

/** A column: what it shows, and the plain value it is sorted and copied by. */
export interface Column<Row> {
  key: string
  name: string
  value: (row: Row) => string | number
  show?: (row: Row) => ReactNode
  numeric?: boolean
}

interface TableProps<Row> {
  /** What it shows; its chosen columns are kept under that too. */
  caption: string
  columns: Column<Row>[]
  rows: readonly Row[]
  rowKey: (row: Row) => string
  csvHref?: string
  onRow?: (row: Row) => void
  selectedKey?: string | null
  /** Scrolls within itself, its heads in view. */
  long?: boolean
}

const features = tableFeatures({
  columnVisibilityFeature,
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
})

/** Numbers by their size, words as a person sorts them. */
const byValue = (x: string | number, y: string | number) =>
  typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y))

/** More rows than this are windowed: only those in view are drawn. */
const WINDOWED_FROM = 80
const ROW_PX = 37

/**
 * The figures under a picture: sorts by any column, shows the columns that are wanted and remembers them, copies as
 * tab-separated text, exports as CSV.
 */
export function DataTable<Row extends RowData>(props: TableProps<Row>) {
  const { columns, rows, rowKey, onRow } = props
  const [sorting, setSorting] = useState<SortingState>([])
  const [hidden, setHidden] = useLocalStorage<string[]>({
    key: `kanten-columns ${props.caption}`,
    defaultValue: [],
    getInitialValueInEffect: false,
  })
  const table = useTable({
    features,
    data: rows,
    columns: useMemo(
      () =>
        columns.map((c) => ({
          id: c.key,
          header: c.name,
          accessorFn: c.value,
          sortFn: (a: { original: Row }, b: { original: Row }) =>
            byValue(c.value(a.original), c.value(b.original)),
          sortDescFirst: false,
        })),
      [columns],
    ),
    getRowId: rowKey,
    enableSortingRemoval: false,
    state: { sorting, columnVisibility: Object.fromEntries(hidden.map((key) => [key, false])) },
    onSortingChange: setSorting,
  })
  const shown = columns.filter((c) => !hidden.includes(c.key))
  const sorted = table.getRowModel().rows.map((r) => r.original)
  const frame = useRef<HTMLElement>(null)
  const windowed = sorted.length > WINDOWED_FROM
  const virtual = useVirtualizer({
    count: windowed ? sorted.length : 0,
    getScrollElement: () => frame.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  })
  const inView = virtual.getVirtualItems()
  const [above, below] = windowed
    ? [inView[0]?.start ?? 0, virtual.getTotalSize() - (inView.at(-1)?.end ?? 0)]
    : [0, 0]

  return (
    <div className={css.frame}>
      <TableTools
        caption={props.caption}
        columns={columns}
        hidden={hidden}
        setHidden={setHidden}
        text={() =>
          [shown.map((c) => c.name), ...sorted.map((row) => shown.map((c) => c.value(row)))]
            .map((line) => line.join('\t'))
            .join('\n')
        }
        {...(props.csvHref && { csvHref: props.csvHref })}
      />
      <section
        ref={frame}
        className={props.long || windowed ? css.long : css.scroll}
        data-sideways
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a wide table must be scrollable by keyboard
        tabIndex={0}
        aria-label={props.caption}
      >
        <table className={css.table} aria-rowcount={windowed ? sorted.length + 1 : undefined}>
          <thead>
            <tr>
              {table.getFlatHeaders().map((header) => {
                const column = columns.find((c) => c.key === header.column.id)!
                const way = header.column.getIsSorted()
                return (
                  <th
                    key={header.id}
                    data-numeric={column.numeric || undefined}
                    aria-sort={way === 'desc' ? 'descending' : way === 'asc' ? 'ascending' : 'none'}
                  >
                    <button type="button" onClick={() => header.column.toggleSorting()}>
                      {column.name}
                      <span aria-hidden="true">{way === 'desc' ? ' ↓' : way === 'asc' ? ' ↑' : ''}</span>
                    </button>
                  </th>
                )
              })}
            </tr>
          </thead>
          <tbody>
            {above > 0 && (
              <tr>
                <td colSpan={shown.length} style={{ height: above, padding: 0 }} />
              </tr>
            )}
            {(windowed ? inView.map((v) => sorted[v.index]!) : sorted).map((row) => (
              <tr
                key={rowKey(row)}
                data-clickable={onRow ? true : undefined}
                data-selected={props.selectedKey === rowKey(row) || undefined}
                onClick={onRow ? () => onRow(row) : undefined}
              >
                {shown.map((c) => (
                  <td key={c.key} data-numeric={c.numeric || undefined}>
                    {c.show ? c.show(row) : c.value(row)}
                  </td>
                ))}
              </tr>
            ))}
            {below > 0 && (
              <tr>
                <td colSpan={shown.length} style={{ height: below, padding: 0 }} />
              </tr>
            )}
          </tbody>
        </table>
      </section>
    </div>
  )
}
