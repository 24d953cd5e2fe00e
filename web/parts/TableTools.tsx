import { ActionIcon, Checkbox, Popover, Stack, Tooltip } from '@mantine/core'
import { IconColumns3, IconCopy, IconDownload } from '@tabler/icons-react'
import css from './DataTable.module.css'

/** What can be done with a table as a whole: columns chosen, copied, saved. */
export function TableTools(props: {
  caption: string
  columns: readonly { key: string; name: string }[]
  hidden: readonly string[]
  setHidden: (keys: string[]) => void
  text: () => string
  csvHref?: string
}) {
  const { caption, columns, hidden } = props
  const show = (key: string, shown: boolean) =>
    props.setHidden(shown ? hidden.filter((k) => k !== key) : [...hidden, key])
  return (
    <div className={css.tools}>
      <h2>{caption}</h2>
      <Popover position="bottom-end" withinPortal>
        <Popover.Target>
          <Tooltip label="Choose columns">
            <ActionIcon aria-label={`Columns: ${caption}`}>
              <IconColumns3 size={18} stroke={1.6} />
            </ActionIcon>
          </Tooltip>
        </Popover.Target>
        <Popover.Dropdown>
          <Stack gap={0}>
            {columns.map((c) => {
              const shown = !hidden.includes(c.key)
              return (
                <Checkbox
                  key={c.key}
                  label={c.name}
                  checked={shown}
                  // the last one stays: a table of nothing says nothing
                  disabled={shown && columns.length - hidden.length <= 1}
                  onChange={(event) => show(c.key, event.currentTarget.checked)}
                />
              )
            })}
          </Stack>
        </Popover.Dropdown>
      </Popover>
      <Tooltip label="Copy the table">
        <ActionIcon
          aria-label={`Copy: ${caption}`}
          onClick={() => void navigator.clipboard.writeText(props.text())}
        >
          <IconCopy size={18} stroke={1.6} />
        </ActionIcon>
      </Tooltip>
      {props.csvHref && (
        <Tooltip label="Save as CSV">
          <ActionIcon component="a" href={props.csvHref} aria-label={`Save as CSV: ${caption}`}>
            <IconDownload size={18} stroke={1.6} />
          </ActionIcon>
        </Tooltip>
      )}
    </div>
  )
}
