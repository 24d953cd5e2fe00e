import { Button, Select } from '@mantine/core'
import { z } from 'zod'
import { stiffnesses } from '#core/common'
import { dropsOf, dropsText } from '#core/logbook/drops'
import { type LogEntry, loggedBatchSchema } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { OptionalNumberField } from '../../parts/NumberField.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty } from '../../parts/states.tsx'
import { TextField } from '../../parts/TextField.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { at } from './at.ts'
import type { Edit } from './edit.ts'
import css from './Logbook.module.css'

const dropsSchema = z
  .string()
  .refine((text) => dropsOf(text) !== null, 'Each dye and its drops, with commas between: red 12, brown 3.')

/** The bowls of an entry: what was planned and left, and which ran short. */
export function Batches({ entry, edit }: { entry: LogEntry; edit: Edit }) {
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
            <th>piped at</th>
            <th>planned</th>
            <th>left</th>
            <th>stayed in the bowl</th>
            <th>drops as added</th>
            <th>ran short</th>
          </tr>
        </thead>
        <tbody>
          {entry.batches.map((b, i) => (
            <tr key={b.id}>
              <td data-label="colour">
                <Dab hex={b.hex} /> {b.colour}
              </td>
              <td data-label="stiffness">{b.stiffness}</td>
              <td data-label="piped at">
                <Select
                  aria-label={`Stiffness that ${b.colour}, ${b.stiffness}, was piped at`}
                  w={120}
                  placeholder="as planned"
                  clearable
                  data={[...stiffnesses]}
                  value={b.stiffnessUsed}
                  onChange={(v) =>
                    change(i, `stiffness of ${b.colour}`, {
                      stiffnessUsed: v as LogEntry['batches'][number]['stiffness'] | null,
                    })
                  }
                />
              </td>
              <td data-label="planned">{weight(b.plannedGrams)}</td>
              <td data-label="left">
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
              <td data-label="stayed in the bowl">
                <OptionalNumberField
                  label={`Stayed in the bowl of ${b.colour}, ${b.stiffness}`}
                  hideLabel
                  unit="g"
                  width={96}
                  decimals={1}
                  value={b.stayedGrams}
                  schema={loggedBatchSchema.shape.stayedGrams.unwrap().unwrap()}
                  onChange={(stayedGrams) =>
                    change(i, `what stayed in the bowl of ${b.colour}`, { stayedGrams })
                  }
                />
              </td>
              <td data-label="drops as added">
                <TextField
                  label={`Drops in ${b.colour}, ${b.stiffness}`}
                  hideLabel
                  placeholder="red 12, brown 3"
                  width={170}
                  value={dropsText(b.drops)}
                  schema={dropsSchema}
                  onChange={(text) => change(i, `drops in ${b.colour}`, { drops: dropsOf(text) ?? [] })}
                />
              </td>
              <td data-label="ran short">
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
