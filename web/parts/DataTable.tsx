import { ActionIcon, Tooltip } from '@mantine/core'
import { IconCopy, IconDownload } from '@tabler/icons-react'
import { type ReactNode, useMemo, useState } from 'react'
import css from './DataTable.module.css'

/** A column: what it shows, and the plain value it is sorted and copied by. */
export interface Column<Row> {
  key: string
  name: string
  value: (row: Row) => string | number
  show?: (row: Row) => ReactNode
  numeric?: boolean
}

/** The figures under a picture: sorts by any column, copies as tab-separated text, exports as CSV. */
export function DataTable<Row>(props: {
  caption: string
  columns: Column<Row>[]
  rows: readonly Row[]
  rowKey: (row: Row) => string
  csvHref?: string
  onRow?: (row: Row) => void
  selectedKey?: string | null
  /** Long tables scroll within themselves, their heads in view. */
  long?: boolean
}) {
  const { columns, rows, rowKey, onRow } = props
  const [sort, setSort] = useState<{ key: string; down: boolean } | null>(null)
  const shown = useMemo(() => sorted(rows, columns, sort), [rows, columns, sort])

  function copy() {
    const lines = [columns.map((c) => c.name), ...shown.map((row) => columns.map((c) => c.value(row)))]
    void navigator.clipboard.writeText(lines.map((line) => line.join('\t')).join('\n'))
  }

  return (
    <div className={css.frame}>
      <div className={css.tools}>
        <h3>{props.caption}</h3>
        <Tooltip label="Copy the table">
          <ActionIcon aria-label={`Copy: ${props.caption}`} onClick={copy}>
            <IconCopy size={18} stroke={1.6} />
          </ActionIcon>
        </Tooltip>
        {props.csvHref && (
          <Tooltip label="Save as CSV">
            <ActionIcon component="a" href={props.csvHref} aria-label={`Save as CSV: ${props.caption}`}>
              <IconDownload size={18} stroke={1.6} />
            </ActionIcon>
          </Tooltip>
        )}
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a wide table must be scrollable by keyboard */}
      <section className={props.long ? css.long : css.scroll} tabIndex={0} aria-label={props.caption}>
        <table className={css.table}>
          <thead>
            <tr>
              {columns.map((c) => (
                <th
                  key={c.key}
                  data-numeric={c.numeric || undefined}
                  aria-sort={sort?.key === c.key ? (sort.down ? 'descending' : 'ascending') : 'none'}
                >
                  <button
                    type="button"
                    onClick={() => setSort({ key: c.key, down: sort?.key === c.key ? !sort.down : false })}
                  >
                    {c.name}
                    <span aria-hidden="true">{sort?.key === c.key ? (sort.down ? ' ↓' : ' ↑') : ''}</span>
                  </button>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {shown.map((row) => (
              <tr
                key={rowKey(row)}
                data-clickable={onRow ? true : undefined}
                data-selected={props.selectedKey === rowKey(row) || undefined}
                onClick={onRow ? () => onRow(row) : undefined}
              >
                {columns.map((c) => (
                  <td key={c.key} data-numeric={c.numeric || undefined}>
                    {c.show ? c.show(row) : c.value(row)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  )
}

function sorted<Row>(
  rows: readonly Row[],
  columns: Column<Row>[],
  sort: { key: string; down: boolean } | null,
) {
  const column = columns.find((c) => c.key === sort?.key)
  if (!sort || !column) return rows
  const sign = sort.down ? -1 : 1
  return [...rows].sort((a, b) => {
    const [x, y] = [column.value(a), column.value(b)]
    return (
      sign * (typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y)))
    )
  })
}
