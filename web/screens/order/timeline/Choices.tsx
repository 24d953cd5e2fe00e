import { Button } from '@mantine/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { letAllGo } from '#core/orders/settled'
import { momentOf } from '#core/timeline/clock'
import type { HandsChoice } from '#core/timeline/day'
import type { Misfit } from '#core/timeline/misfits'
import type { DayRemedy } from '#core/timeline/remedies'
import type { Timetable } from '#core/timeline/timetable'
import { counted, formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { editSettings } from '../../../data/workshop.ts'
import { Card } from '../../../parts/Card.tsx'
import { useCalendar } from '../../../parts/calendar.ts'
import { FlagMark } from '../../../parts/FlagMark.tsx'
import { MiniDay } from '../../../timetable/MiniDay.tsx'
import { misfitWords } from '../../../timetable/misfitWords.ts'
import { type Days, useDayChoices } from '../../../workers/days.ts'
import css from './Timeline.module.css'

/** What does not fit and what would make it fit; one, two and three pairs of hands side by side; what to look to. */
export function Choices({ table, days }: { table: Timetable; days: Days }) {
  const { order, planned, workshop, edit } = useOrderEditor()
  const calendar = useCalendar()
  const choices = useDayChoices(
    useMemo(() => planned && [planned], [planned]),
    workshop,
    days.now,
  )
  const { day } = workshop.settings
  const misfits = days.reply?.misfits ?? []
  const take = ({ change, label }: DayRemedy) => {
    if (change.kind === 'day') editSettings((s) => ({ ...s, day: { ...s.day, ...change.day } }))
    else if (change.kind === 'notBefore')
      edit(label, (o) => ({ ...o, settled: { ...o.settled, notBefore: change.at } }))
    else edit(label, letAllGo)
  }
  const takeHands = (hands: HandsChoice['hands']) => editSettings((s) => ({ ...s, day: { ...s.day, hands } }))
  return (
    <>
      {misfits.length > 0 && (
        <div style={{ marginTop: 12 }}>
          <Card
            label="It does not fit"
            title={
              <>
                <FlagMark /> It does not fit
              </>
            }
          >
            {misfits.map((m) => (
              <p key={JSON.stringify(m)}>{misfitWords(m, table, calendar)}</p>
            ))}
            <div className={css.remedies} style={{ marginTop: 8 }}>
              {choices ? (
                choices.remedies.map((r) => (
                  <Button key={r.label} variant={r.fits ? 'filled' : 'outline'} onClick={() => take(r)}>
                    {r.label}: {r.fits ? 'it fits' : `start ${calendar.weekMoment(momentOf(r.from))}`}
                  </Button>
                ))
              ) : (
                <span className="quiet">Looking for what would make it fit…</span>
              )}
              <Button component={Link} to={`/orders/${order.id}/timeline/lighter`}>
                A lighter version
              </Button>
              {choices?.remedies.length === 0 && (
                <span className="quiet">
                  Neither more hands nor longer hours nor more trays make it fit: take less into the order, or
                  agree on a later collection.
                </span>
              )}
            </div>
          </Card>
        </div>
      )}
      <div className={css.below}>
        {(choices?.hands ?? []).map((c, i, all) => (
          <HandsCard
            key={c.hands.length}
            choice={c}
            own={c.hands.length === day.hands.length}
            before={all[i - 1]}
            misfits={c.misfits}
            end={table.collect}
            from={all[0]!.from}
            take={() => takeHands(c.hands)}
          />
        ))}
      </div>
      {table.cautions.length > 0 && (
        <div style={{ marginTop: 12 }}>
          <Card title="Look to">
            <ul>
              {table.cautions.map((c) => (
                <li key={c}>{c}</li>
              ))}
            </ul>
          </Card>
        </div>
      )}
    </>
  )
}

function HandsCard(props: {
  choice: HandsChoice
  own: boolean
  before: HandsChoice | undefined
  misfits: Misfit[]
  from: number
  end: number
  take: () => void
}) {
  const { choice, own, before, misfits, take } = props
  const { weekMoment } = useCalendar()
  const later = before ? choice.from - before.from : 0
  return (
    <button type="button" className={css.choice} aria-pressed={own} onClick={own ? undefined : take}>
      <header>
        <strong>{counted(choice.hands.length, 'pair of hands', 'pairs of hands')}</strong>
        <span className="quiet">
          {own ? 'this plan' : before ? (later > 0 ? `${formatMinutes(later)} later` : 'no later') : ''}
        </span>
      </header>
      <MiniDay choice={choice} from={props.from} to={props.end} />
      <footer>
        <span>
          start <strong>{weekMoment(momentOf(choice.from))}</strong>
        </span>
        <span>
          {misfits.length > 0 ? (
            <>
              <FlagMark /> does not fit
            </>
          ) : (
            'fits'
          )}
        </span>
      </footer>
    </button>
  )
}
