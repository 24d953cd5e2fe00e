import { ActionIcon, Button, Switch } from '@mantine/core'
import { TimePicker } from '@mantine/dates'
import { IconX } from '@tabler/icons-react'
import type { z } from 'zod'
import { type DaySettings, daySettingsSchema, handSchema, MOST_HANDS } from '#core/model/day'
import { settingFaults } from '#core/timeline/faults'
import { editSettings, useWorkshop } from '../data/workshop.ts'
import { Card } from '../parts/Card.tsx'
import { useCalendar } from '../parts/calendar.ts'
import { FlagMark } from '../parts/FlagMark.tsx'
import { NumberField } from '../parts/NumberField.tsx'
import { Loading } from '../parts/states.tsx'
import { TextField } from '../parts/TextField.tsx'
import css from './DayLimits.module.css'
import { IcingTimesTable } from './IcingTimesTable.tsx'

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
/** A day that is opened anew. */
const USUAL_HOURS = { from: 8 * 60, to: 18 * 60 }

type NumberKey = { [K in keyof DaySettings]: DaySettings[K] extends number ? K : never }[keyof DaySettings]

const LIMITS: { key: NumberKey; label: string; unit?: string; step?: number; why: string }[] = [
  {
    key: 'marginMinutes',
    label: 'In hand before collection',
    unit: 'min',
    step: 5,
    why: 'All is done by then.',
  },
  {
    key: 'restAfterMinutes',
    label: 'Stiff piping in a row',
    unit: 'min',
    step: 5,
    why: 'Then the hand rests; what takes longer is done in portions.',
  },
  {
    key: 'restMinutes',
    label: 'Rest for the hand',
    unit: 'min',
    step: 5,
    why: 'Other work may be done meanwhile.',
  },
  {
    key: 'stretchMinutes',
    label: 'Longest at one thing',
    unit: 'min',
    step: 5,
    why: 'Longer work is done in portions.',
  },
  { key: 'whipMinutes', label: 'Base icing whips', unit: 'min', why: 'By itself, for each make.' },
  {
    key: 'deepenMinutes',
    label: 'Deep colours stand',
    unit: 'min',
    step: 30,
    why: 'Dark ones and full reds, before they are used.',
  },
  { key: 'stackMinutes', label: 'To stack a tier', unit: 'min', why: 'Supports included.' },
  { key: 'boxMinutes', label: 'To box', unit: 'min', step: 0.5, why: 'One box, or one cake.' },
  { key: 'perBox', label: 'Pieces in a box', why: 'Of what has no board.' },
  { key: 'washUpMinutes', label: 'To wash up', unit: 'min', step: 5, why: 'At the end, besides the bowls.' },
]
const ROOM: typeof LIMITS = [
  { key: 'freezerTrays', label: 'Trays in the freezer', why: 'Flowers on their squares.' },
  {
    key: 'fridgeTrays',
    label: 'Trays in the fridge',
    why: 'Pieces, from the first coat until they are fetched.',
  },
  { key: 'rackTrays', label: 'Trays on the rack', why: 'What dries, and pieces that need no cold.' },
  { key: 'trayWideMm', label: 'A tray is wide', unit: 'mm', step: 10, why: 'How much stands on it follows.' },
  { key: 'trayDeepMm', label: 'and deep', unit: 'mm', step: 10, why: '' },
  { key: 'nails', label: 'Nails', why: 'In use at the same time.' },
]

/** Who works, when, and what there is room for: settings of the bakery, shown where they act. */
export function DayLimits() {
  const { workshop } = useWorkshop()
  const { hour12 } = useCalendar()
  if (!workshop) return <Loading what="the settings" />
  const { day } = workshop.settings
  const change = (part: Partial<DaySettings>) => editSettings((s) => ({ ...s, day: { ...s.day, ...part } }))
  const setHours = (i: number, hours: DaySettings['week'][number]) =>
    change({ week: day.week.map((h, k) => (k === i ? hours : h)) })
  const setHand = (i: number, part: Partial<DaySettings['hands'][number]>) =>
    change({ hands: day.hands.map((h, k) => (k === i ? { ...h, ...part } : h)) })
  const faults = settingFaults(day)
  return (
    <>
      {faults.length > 0 && (
        <ul className={css.faults} role="alert">
          {faults.map((f) => (
            <li key={f.message}>
              <FlagMark /> {f.message}
            </li>
          ))}
        </ul>
      )}
      <div className={css.columns}>
        <div className={css.stack}>
          <Card title="Hands" aside="of the bakery, on every day">
            {day.hands.map((hand, i) => (
              // hands have no names of their own before they are given one; their place tells them apart
              // biome-ignore lint/suspicious/noArrayIndexKey: see above
              <div key={i} className={css.hand}>
                <TextField
                  label={`Pair of hands ${i + 1}`}
                  value={hand.name}
                  schema={handSchema.shape.name}
                  onChange={(name) => setHand(i, { name })}
                />
                <Switch
                  label="pipes"
                  aria-label={`${hand.name} pipes`}
                  checked={hand.pipes}
                  onChange={(e) => setHand(i, { pipes: e.currentTarget.checked })}
                />
                <ActionIcon
                  size={40}
                  aria-label={`Take away ${hand.name}`}
                  disabled={day.hands.length === 1}
                  onClick={() => change({ hands: day.hands.filter((_, k) => k !== i) })}
                >
                  <IconX size={18} stroke={1.6} />
                </ActionIcon>
              </div>
            ))}
            {day.hands.length < MOST_HANDS && (
              <Button
                onClick={() =>
                  change({ hands: [...day.hands, { name: `Hands ${day.hands.length + 1}`, pipes: true }] })
                }
              >
                One more pair of hands
              </Button>
            )}
          </Card>
          <Card title="Opening hours" aside="nobody works outside them; what chills or dries goes on">
            {day.week.map((hours, i) => (
              <div key={WEEKDAYS[i]} className={css.hours}>
                <Switch
                  label={WEEKDAYS[i]}
                  checked={hours !== null}
                  onChange={(e) => setHours(i, e.currentTarget.checked ? USUAL_HOURS : null)}
                />
                {hours ? (
                  <>
                    <Clock
                      label={`${WEEKDAYS[i]} from`}
                      minute={hours.from}
                      hour12={hour12}
                      onChange={(from) => setHours(i, { ...hours, from })}
                    />
                    <Clock
                      label={`${WEEKDAYS[i]} to`}
                      minute={hours.to}
                      hour12={hour12}
                      onChange={(to) => setHours(i, { ...hours, to: to === 0 ? 1440 : to })}
                    />
                  </>
                ) : (
                  <span className="quiet">closed</span>
                )}
              </div>
            ))}
          </Card>
        </div>
        <div className={css.stack}>
          <Card title="Limits" aside="starting figures: put in your own">
            <Fields list={LIMITS} day={day} change={change} />
          </Card>
          <Card title="Room" aside="for what stands and waits">
            <Fields list={ROOM} day={day} change={change} />
          </Card>
        </div>
      </div>
      <IcingTimesTable icings={workshop.icings} />
    </>
  )
}

function Fields(props: {
  list: typeof LIMITS
  day: DaySettings
  change: (part: Partial<DaySettings>) => void
}) {
  return (
    <div className={css.fields}>
      {props.list.map(({ key, label, unit, step, why }) => (
        <div key={key} className={css.line}>
          <NumberField
            label={label}
            unit={unit}
            step={step}
            value={props.day[key]}
            schema={daySettingsSchema.shape[key].unwrap() as z.ZodType<number>}
            onChange={(value) => props.change({ [key]: value })}
          />
          <span className="quiet">{why}</span>
        </div>
      ))}
    </div>
  )
}

const pad = (n: number) => String(n).padStart(2, '0')

/** A time of day as minutes since midnight. */
function Clock(props: {
  label: string
  minute: number
  hour12: boolean
  onChange: (minute: number) => void
}) {
  const { label, minute, hour12, onChange } = props
  return (
    <TimePicker
      aria-label={label}
      value={`${pad(Math.floor(minute / 60) % 24)}:${pad(minute % 60)}`}
      format={hour12 ? '12h' : '24h'}
      hoursInputLabel={`${label}, hours`}
      minutesInputLabel={`${label}, minutes`}
      amPmInputLabel={`${label}, am or pm`}
      onChange={(value) => {
        const [h, m] = value.split(':').map(Number)
        if (Number.isInteger(h) && Number.isInteger(m) && h! * 60 + m! !== minute % 1440)
          onChange(h! * 60 + m!)
      }}
    />
  )
}
