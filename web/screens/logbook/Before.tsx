import { Button } from '@mantine/core'
import { useLogHistory } from '../../data/log.ts'
import { Card } from '../../parts/Card.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { Empty } from '../../parts/states.tsx'
import { localMoment } from '../../parts/time.ts'
import type { Edit } from './edit.ts'
import css from './Logbook.module.css'

/** What the entry was before, each to be brought back whole. */
export function Before({ id, edit }: { id: string; edit: Edit }) {
  const { data = [] } = useLogHistory(id)
  const { shortMoment } = useCalendar()
  if (data.length === 0)
    return (
      <Empty title="Nothing before">
        What this entry was before a change stands here once it is changed.
      </Empty>
    )
  return (
    <Card title="Before" aside="changes within ten minutes are one">
      <ul className={css.before}>
        {data.map((h) => (
          <li key={h.until}>
            until {shortMoment(localMoment(new Date(h.until)))}
            {h.deleted && ', then deleted'}
            <Button onClick={() => edit('brought back', () => ({ ...h.entry }))}>Bring this back</Button>
          </li>
        ))}
      </ul>
    </Card>
  )
}
