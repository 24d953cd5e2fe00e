import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { letGo } from '#core/orders/settled'
import type { DayFault } from '#core/timeline/faults'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import css from './Timeline.module.css'

/** What stands in the way of a timetable: which setting, why, and what to do. */
export function Faults({ faults, stale }: { faults: readonly DayFault[]; stale: boolean }) {
  const { order, edit } = useOrderEditor()
  return (
    <section className={css.faults} role="alert">
      <strong>
        <FlagMark /> No timetable can be made like this.
      </strong>{' '}
      {stale && 'Below stands the last good one: it is not by what is set now.'}
      <ul>
        {faults.map((f) => (
          <li key={`${f.code} ${f.message}`}>
            <span>{f.message}</span>
            {f.about.kind === 'settings' ? (
              <Button component={Link} to={`/orders/${order.id}/timeline/limits`} size="compact-md">
                Hours and limits
              </Button>
            ) : (
              f.about.taskIds.length > 0 && (
                <Button
                  size="compact-md"
                  onClick={() => {
                    const { taskIds } = f.about as { taskIds: string[] }
                    edit('let go of a lock', (o) => letGo(o, taskIds))
                  }}
                >
                  Let it go
                </Button>
              )
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
