import { type LogEntry, loggedBagSchema } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { OptionalNumberField } from '../../parts/NumberField.tsx'
import { Empty } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { at } from './at.ts'
import type { Edit } from './Entry.tsx'
import css from './Logbook.module.css'

/** What was left in the bags of an entry. */
export function Bags({ entry, edit }: { entry: LogEntry; edit: Edit }) {
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
