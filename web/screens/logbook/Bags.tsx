import { Checkbox } from '@mantine/core'
import { type LogEntry, loggedBagSchema } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { OptionalNumberField } from '../../parts/NumberField.tsx'
import { Empty } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { at } from './at.ts'
import type { Edit } from './edit.ts'
import css from './Logbook.module.css'

/** What was left in the bags of an entry. */
export function Bags({ entry, edit }: { entry: LogEntry; edit: Edit }) {
  const weight = useWeight()
  if (entry.bags.length === 0) return <Empty title="No bags">Nothing was bagged for this entry.</Empty>
  return (
    <Card title="Left in bags" aside="what stays in a bag is learnt from those that were emptied and weighed">
      <div className={css.bags}>
        {entry.bags.map((b, i) => (
          <div key={b.number}>
            <OptionalNumberField
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
            <Checkbox
              mt={6}
              label="emptied"
              aria-label={`Bag ${b.number} was piped until nothing came`}
              checked={b.emptied}
              onChange={(e) => {
                const emptied = e.currentTarget.checked
                edit(`bag ${b.number} emptied`, (now) => ({ ...now, bags: at(now.bags, i, { emptied }) }))
              }}
            />
          </div>
        ))}
      </div>
    </Card>
  )
}
