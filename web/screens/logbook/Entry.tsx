import { Button } from '@mantine/core'
import { Link } from 'react-router'
import { summaryOf } from '#core/logbook/summary'
import {
  type LogEntry,
  logEntrySchema,
  loggedBagSchema,
  loggedBatchSchema,
  loggedFlowerSchema,
} from '#core/model/logEntry'
import { formatMinutes } from '#core/units'
import { useLogHistory } from '../../data/log.ts'
import { Card, Stat, Stats } from '../../parts/Card.tsx'
import { useCalendar } from '../../parts/calendar.ts'
import { NumberField, OptionalNumberField } from '../../parts/NumberField.tsx'
import { PartLinks } from '../../parts/PartLinks.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty } from '../../parts/states.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { localMoment } from '../../parts/time.ts'
import { useWeight } from '../../parts/weight.tsx'
import { Photographs } from '../bench/wrapUp/Photographs.tsx'
import css from './Logbook.module.css'

type Edit = (label: string, change: (entry: LogEntry) => LogEntry, key?: string) => void

const remark = logEntrySchema.shape.remarks.element

/** Planned against done: hands, icing, flowers, and what was noted. */
export function Entry({ entry, edit, part }: { entry: LogEntry; edit: Edit; part: string }) {
  const weight = useWeight()
  const sum = summaryOf(entry)
  const set = (label: string, part: Partial<LogEntry>) => edit(label, (e) => ({ ...e, ...part }), label)
  return (
    <div className={css.page}>
      <Card title="Planned against done">
        <Stats>
          <Stat
            name="hands"
            note={
              entry.plannedMinutes === null ? undefined : `planned ${formatMinutes(entry.plannedMinutes)}`
            }
          >
            {entry.minutes === null ? '–' : formatMinutes(entry.minutes)}
          </Stat>
          <Stat name="icing left" note={`of ${weight(sum.plannedGrams)} planned`}>
            {sum.leftGrams === null ? '–' : weight(sum.leftGrams)}
          </Stat>
          <Stat name="ran short">{sum.ranShort.length === 0 ? 'nothing' : sum.ranShort.join(', ')}</Stat>
          <Stat name="flowers piped" note={`${sum.wanted} wanted`}>
            {sum.piped}
          </Stat>
          <Stat
            name="spoiled"
            note={
              sum.piped > 0 ? `${Math.round((100 * sum.spoiled) / (sum.piped + sum.spoiled))} %` : undefined
            }
          >
            {sum.spoiled}
          </Stat>
        </Stats>
        <div className={css.fields}>
          <OptionalNumberField
            label="Hands"
            unit="min"
            value={entry.minutes === null ? null : Math.round(entry.minutes * 10) / 10}
            schema={logEntrySchema.shape.minutes.unwrap()}
            onChange={(minutes) => set('hands', { minutes })}
          />
          <OptionalNumberField
            label="The room"
            unit="°C"
            value={entry.roomC}
            schema={logEntrySchema.shape.roomC.unwrap()}
            onChange={(roomC) => set('the room', { roomC })}
          />
          <TextField
            label="By, with commas between"
            value={entry.people.join(', ')}
            schema={peopleSchema}
            onChange={(names) => set('by', { people: peopleOf(names) })}
          />
          <TextField
            label="A word about it"
            multiline
            value={entry.remarks.join('\n')}
            schema={remark}
            onChange={(words) => set('remarks', { remarks: words.trim() ? words.split('\n') : [] })}
          />
        </div>
        {entry.orderId && (
          <p className="quiet">
            <Link to={`/orders/${entry.orderId}/brief`}>To the order</Link>
          </p>
        )}
      </Card>
      <div>
        <PartLinks
          label="Parts of the entry"
          parts={PARTS.map(([part, name]) => ({ to: `/logbook/${entry.id}${part}`, end: true, name }))}
        />
        <Part part={part} entry={entry} edit={edit} />
      </div>
    </div>
  )
}

const PARTS: readonly (readonly [string, string])[] = [
  ['', 'Bowls'],
  ['/flowers', 'Flowers'],
  ['/bags', 'Bags'],
  ['/photographs', 'Photographs'],
  ['/before', 'Before'],
]

function Part({ part, entry, edit }: { part: string; entry: LogEntry; edit: Edit }) {
  switch (part) {
    case 'flowers':
      return <Flowers entry={entry} edit={edit} />
    case 'bags':
      return <Bags entry={entry} edit={edit} />
    case 'photographs':
      return (
        <Card title="Photographs">
          <Photographs entryId={entry.id} />
        </Card>
      )
    case 'before':
      return <Before id={entry.id} edit={edit} />
    default:
      return <Batches entry={entry} edit={edit} />
  }
}

const peopleSchema = remark
const peopleOf = (names: string): string[] =>
  [
    ...new Set(
      names
        .split(',')
        .map((n) => n.trim().slice(0, 80))
        .filter(Boolean),
    ),
  ].slice(0, 20)

/** Replaces one of a list. */
const at = <T,>(list: readonly T[], index: number, part: Partial<T>): T[] =>
  list.map((x, i) => (i === index ? { ...x, ...part } : x))

function Batches({ entry, edit }: { entry: LogEntry; edit: Edit }) {
  const weight = useWeight()
  if (entry.batches.length === 0) return <Empty title="No bowls">Nothing was mixed for this entry.</Empty>
  const change = (i: number, label: string, part: Partial<LogEntry['batches'][number]>) =>
    edit(label, (e) => ({ ...e, batches: at(e.batches, i, part) }), `${label} ${i}`)
  return (
    <Card title="Bowls">
      <table className={css.table}>
        <thead>
          <tr>
            <th>colour</th>
            <th>stiffness</th>
            <th>planned</th>
            <th>left</th>
            <th>ran short</th>
          </tr>
        </thead>
        <tbody>
          {entry.batches.map((b, i) => (
            <tr key={b.id}>
              <td>
                <Dab hex={b.hex} /> {b.colour}
              </td>
              <td>{b.stiffness}</td>
              <td>{weight(b.plannedGrams)}</td>
              <td>
                <OptionalNumberField
                  label={`Left of ${b.colour}, ${b.stiffness}`}
                  hideLabel
                  unit="g"
                  width={120}
                  decimals={1}
                  value={b.leftGrams === null ? null : Math.round(b.leftGrams * 10) / 10}
                  schema={loggedBatchSchema.shape.leftGrams.unwrap()}
                  onChange={(leftGrams) => change(i, `left of ${b.colour}`, { leftGrams, estimated: false })}
                />
                {b.estimated && <span className="quiet">by eye</span>}
              </td>
              <td>
                <Button
                  aria-pressed={b.ranShort}
                  variant={b.ranShort ? 'filled' : 'default'}
                  onClick={() => change(i, `${b.colour} ran short`, { ranShort: !b.ranShort })}
                >
                  {b.ranShort ? 'ran short' : 'was enough'}
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </Card>
  )
}

function Flowers({ entry, edit }: { entry: LogEntry; edit: Edit }) {
  if (entry.flowers.length === 0) return <Empty title="No flowers">Nothing was piped for this entry.</Empty>
  const change = (i: number, label: string, part: Partial<LogEntry['flowers'][number]>) =>
    edit(label, (e) => ({ ...e, flowers: at(e.flowers, i, part) }), `${label} ${i}`)
  const { piped, spoiled, minutes } = loggedFlowerSchema.shape
  return (
    <Card title="Flowers">
      <table className={css.table}>
        <thead>
          <tr>
            <th>flower</th>
            <th>on</th>
            <th>wanted</th>
            <th>piped</th>
            <th>spoiled</th>
            <th>minutes</th>
          </tr>
        </thead>
        <tbody>
          {entry.flowers.map((f, i) => {
            const of = `${f.name} on ${f.piece}`
            return (
              <tr key={`${f.name} ${f.piece} ${f.wanted}`}>
                <td>{f.name}</td>
                <td>{f.piece}</td>
                <td>{f.wanted}</td>
                <td>
                  <NumberField
                    label={`Piped: ${of}`}
                    hideLabel
                    width={90}
                    value={f.piped}
                    schema={piped}
                    onChange={(value) => change(i, `piped ${f.name}`, { piped: value })}
                  />
                </td>
                <td>
                  <NumberField
                    label={`Spoiled: ${of}`}
                    hideLabel
                    width={90}
                    value={f.spoiled}
                    schema={spoiled}
                    onChange={(value) => change(i, `spoiled ${f.name}`, { spoiled: value })}
                  />
                </td>
                <td>
                  <OptionalNumberField
                    label={`Minutes: ${of}`}
                    hideLabel
                    width={90}
                    decimals={1}
                    value={f.minutes === null ? null : Math.round(f.minutes * 10) / 10}
                    schema={minutes.unwrap()}
                    onChange={(value) => change(i, `minutes ${f.name}`, { minutes: value })}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </Card>
  )
}

function Bags({ entry, edit }: { entry: LogEntry; edit: Edit }) {
  const weight = useWeight()
  if (entry.bags.length === 0) return <Empty title="No bags">Nothing was bagged for this entry.</Empty>
  return (
    <Card title="Left in bags">
      <div className={css.bags}>
        {entry.bags.map((b, i) => (
          <OptionalNumberField
            key={b.number}
            label={`Bag ${b.number}, of ${weight(b.plannedGrams)}`}
            unit="g"
            decimals={1}
            value={b.leftGrams === null ? null : Math.round(b.leftGrams * 10) / 10}
            schema={loggedBagSchema.shape.leftGrams.unwrap()}
            onChange={(leftGrams) =>
              edit(
                `left in bag ${b.number}`,
                (e) => ({ ...e, bags: at(e.bags, i, { leftGrams, estimated: false }) }),
                `left in bag ${b.number}`,
              )
            }
          />
        ))}
      </div>
    </Card>
  )
}

/** What the entry was before, each to be brought back whole. */
function Before({ id, edit }: { id: string; edit: Edit }) {
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
