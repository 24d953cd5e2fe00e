import { Button } from '@mantine/core'
import { type LogEntry, loggedBatchSchema } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { OptionalNumberField } from '../../parts/NumberField.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { Empty } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { at } from './at.ts'
import type { Edit } from './Entry.tsx'
import css from './Logbook.module.css'

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
