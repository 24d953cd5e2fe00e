import { gramsDone, keptPromises, minutesDone } from '#core/logbook/kept'
import type { LogEntry } from '#core/model/logEntry'
import { oneIn } from '#core/plan/promiseWords'
import { Card } from '../../../parts/Card.tsx'
import { Empty } from '../../../parts/states.tsx'
import css from './Learnt.module.css'
import { Scatter } from './Scatter.tsx'

/** Whether what was promised was kept, and what came of what was expected. */
export function Promises({ entries }: { entries: readonly LogEntry[] }) {
  const kept = keptPromises(entries)
  return (
    <>
      <Card
        title="The promise, checked"
        aside="of all colours that were promised a chance, how many ran short"
      >
        {kept.length === 0 ? (
          <Empty title="No promise to check yet">
            Entries that are written from now on keep what was promised for their colours.
          </Empty>
        ) : (
          <table className={css.promises}>
            <thead>
              <tr>
                <th scope="col">promised</th>
                <th scope="col">colours</th>
                <th scope="col">ran short</th>
                <th scope="col">by chance it may be</th>
                <th scope="col">so</th>
              </tr>
            </thead>
            <tbody>
              {kept.map((k) => (
                <tr key={k.promised}>
                  <td>{oneIn(k.promised)}</td>
                  <td>{k.colours}</td>
                  <td>{k.short}</td>
                  <td>
                    {k.band[0]} to {k.band[1]}
                  </td>
                  <td>{verdict(k)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </Card>
      <div className={css.pair}>
        <Scatter
          title="Grams"
          about="used, against what the shapes alone expect; of orders where somebody told what was left"
          unit="g"
          points={gramsDone(entries)}
        />
        <Scatter title="Minutes" about="timed, against planned" unit="min" points={minutesDone(entries)} />
      </div>
    </>
  )
}

/** Fewer colours than this tell nothing of a chance. */
const TOO_FEW = 10

function verdict({
  colours,
  short,
  band,
}: {
  colours: number
  short: number
  band: readonly [number, number]
}) {
  if (colours < TOO_FEW) return 'too few to tell'
  if (short > band[1]) return 'oftener than promised'
  if (short < band[0]) return 'more is mixed than is needed'
  return 'kept'
}
