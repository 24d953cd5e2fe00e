import { Link } from 'react-router'
import { z } from 'zod'
import { summaryOf } from '#core/logbook/summary'
import { type LogEntry, logEntrySchema } from '#core/model/logEntry'
import { formatMinutes } from '#core/units'
import { Card, Stat, Stats } from '../../parts/Card.tsx'
import { OptionalNumberField } from '../../parts/NumberField.tsx'
import { PartLinks } from '../../parts/PartLinks.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { Photographs } from '../bench/wrapUp/Photographs.tsx'
import { Bags } from './Bags.tsx'
import { Batches } from './Batches.tsx'
import { Before } from './Before.tsx'
import type { Edit } from './edit.ts'
import { Flowers } from './Flowers.tsx'
import css from './Logbook.module.css'

const faultsOf = (text: string) =>
  text
    .split(',')
    .map((f) => f.trim())
    .filter(Boolean)
const faultsText = z
  .string()
  .refine(
    (text) => logEntrySchema.shape.faults.unwrap().safeParse(faultsOf(text)).success,
    'At most 100 words, of 200 characters each, with commas between.',
  )
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
            note={sum.spoiledShare === null ? undefined : `${Math.round(100 * sum.spoiledShare)} %`}
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
            label="Seen to go wrong"
            placeholder="too soft, tails, torn edges"
            value={entry.faults.join(', ')}
            schema={faultsText}
            onChange={(text) => set('seen to go wrong', { faults: faultsOf(text) })}
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
