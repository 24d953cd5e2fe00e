import { Button, Group, Menu, SegmentedControl, TextInput } from '@mantine/core'
import { tipSheetPages } from '#core/guides/tipSheet'
import type { OwnedTip } from '#core/model/tip'
import { Term } from '../../glossary/Term.tsx'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { printPages, savePages } from '../../parts/printPages.ts'

/** One scale for the whole tray: a little over true size, at which the largest slot still lies in a tile. */
export const SCALE = 1.25

/** What is sought in the tray, how large it is drawn, the sheet for the table, and a tip of one's own. */
export function TipTools(props: {
  tips: readonly OwnedTip[]
  search: string
  setSearch: (text: string) => void
  trueSize: boolean
  setSize: (size: 'enlarged' | 'true') => void
  measure: () => void
  add: () => void
}) {
  const { tips, trueSize } = props
  return (
    <Group mb="md">
      <TextInput
        aria-label="Search by size or stamp"
        placeholder="Search by size or stamp"
        value={props.search}
        onChange={(e) => props.setSearch(e.currentTarget.value)}
        w={240}
      />
      <SegmentedControl
        aria-label="Size of the drawings"
        value={trueSize ? 'true' : 'enlarged'}
        onChange={(next) => props.setSize(next as 'enlarged' | 'true')}
        data={[
          { value: 'enlarged', label: `${SCALE} ×` },
          { value: 'true', label: 'true size' },
        ]}
      />
      {trueSize ? (
        <Button size="compact-sm" onClick={props.measure}>
          Measure the screen again
        </Button>
      ) : (
        <span className="quiet">
          The arrow marks the <Term id="wideEnd">wide end</Term>.
        </span>
      )}
      <AskedMenu position="bottom-end" button={<Button ml="auto">True-size sheet</Button>}>
        <Menu.Item onClick={() => printPages(tipSheetPages(tips), 'Openings at true size')}>
          Print it, to lay your tips on
        </Menu.Item>
        <Menu.Item onClick={() => savePages(tipSheetPages(tips), 'openings')}>Save as SVG</Menu.Item>
      </AskedMenu>
      <Button onClick={props.add}>Add a tip of our own</Button>
    </Group>
  )
}
