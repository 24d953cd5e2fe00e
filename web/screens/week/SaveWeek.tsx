import { Button, Menu } from '@mantine/core'
import { toCsv } from '#core/files/csv'
import { timelineRows } from '#core/timeline/rows'
import type { Timetable } from '#core/timeline/timetable'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { offerFile } from '../../parts/offer.ts'

/** The timetable of all orders as it is on screen, for another calendar or a spreadsheet. */
export function SaveWeek({ table, bakery }: { table: Timetable; bakery: string }) {
  return (
    <AskedMenu position="bottom-end" button={<Button>Save as…</Button>}>
      <Menu.Item
        onClick={async () => {
          const { calendarFile } = await import('#core/timeline/calendar')
          const text = calendarFile(table, `${bakery}: week`, new Date())
          offerFile(new Blob([text], { type: 'text/calendar' }), `${bakery}-week.ics`)
        }}
      >
        Calendar (iCalendar)
      </Menu.Item>
      <Menu.Item
        onClick={() => {
          const rows = timelineRows(table).map((row, i) => ({
            order: table.orders.find((o) => o.id === table.tasks[i]!.orderId)?.title ?? '',
            ...row,
          }))
          offerFile(new Blob([toCsv(rows)], { type: 'text/csv' }), `${bakery}-week.csv`)
        }}
      >
        Table (CSV)
      </Menu.Item>
    </AskedMenu>
  )
}
