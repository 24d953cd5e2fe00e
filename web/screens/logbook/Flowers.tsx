import { WEIGHED_TOGETHER } from '#core/bench/wrapUp'
import { type LogEntry, loggedFlowerSchema } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { NumberField, OptionalNumberField } from '../../parts/NumberField.tsx'
import { Empty } from '../../parts/states.tsx'
import { at } from './at.ts'
import type { Edit } from './edit.ts'
import css from './Logbook.module.css'

/** The flowers of an entry: wanted, piped, spoiled, and how long they took. */
export function Flowers({ entry, edit }: { entry: LogEntry; edit: Edit }) {
  if (entry.flowers.length === 0) return <Empty title="No flowers">Nothing was piped for this entry.</Empty>
  const change = (i: number, label: string, part: Partial<LogEntry['flowers'][number]>) =>
    edit(label, (e) => ({ ...e, flowers: at(e.flowers, i, part) }), `${label} ${i}`)
  const { piped, spoiled, minutes } = loggedFlowerSchema.shape
  const weighed = loggedFlowerSchema.shape.weighed.unwrap().unwrap()
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
            <th>weighed together</th>
          </tr>
        </thead>
        <tbody>
          {entry.flowers.map((f, i) => {
            const of = `${f.name} on ${f.piece}`
            return (
              <tr key={`${f.name} ${f.piece} ${f.wanted}`}>
                <td data-label="flower">{f.name}</td>
                <td data-label="on">{f.piece}</td>
                <td data-label="wanted">{f.wanted}</td>
                <td data-label="piped">
                  <NumberField
                    label={`Piped: ${of}`}
                    hideLabel
                    width={90}
                    value={f.piped}
                    schema={piped}
                    onChange={(value) => change(i, `piped ${f.name}`, { piped: value })}
                  />
                </td>
                <td data-label="spoiled">
                  <NumberField
                    label={`Spoiled: ${of}`}
                    hideLabel
                    width={90}
                    value={f.spoiled}
                    schema={spoiled}
                    onChange={(value) => change(i, `spoiled ${f.name}`, { spoiled: value })}
                  />
                </td>
                <td data-label="minutes">
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
                <td data-label="weighed together">
                  <span className={css.weighed}>
                    <OptionalNumberField
                      label={`Weighed together: ${of}`}
                      hideLabel
                      width={70}
                      value={f.weighed?.count ?? null}
                      schema={weighed.shape.count}
                      onChange={(count) =>
                        change(i, `weighed ${f.name}`, {
                          weighed: count === null ? null : { count, grams: f.weighed?.grams ?? 0 },
                        })
                      }
                    />
                    <OptionalNumberField
                      label={`Their weight: ${of}`}
                      hideLabel
                      unit="g"
                      width={100}
                      decimals={1}
                      value={f.weighed?.grams ?? null}
                      schema={weighed.shape.grams}
                      onChange={(grams) =>
                        change(i, `weighed ${f.name}`, {
                          weighed:
                            grams === null ? null : { count: f.weighed?.count ?? WEIGHED_TOGETHER, grams },
                        })
                      }
                    />
                  </span>
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </Card>
  )
}
