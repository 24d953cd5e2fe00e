import { dequal } from 'dequal'
import { useState } from 'react'
import { WRAP_UP } from '#core/bench/subjects'
import { logEntryOf, type WrappedUp } from '#core/bench/wrapUp'
import { summaryOf } from '#core/logbook/summary'
import { type LogEntry, logEntrySchema } from '#core/model/logEntry'
import { formatMinutes } from '#core/units'
import type { Bench } from '../../../bench/useBench.ts'
import { useLogEntry, writeLogEntry } from '../../../data/log.ts'
import { checked } from '../../../parts/NumberField.tsx'
import { NumberText } from '../../../parts/NumberText.tsx'
import { localMoment } from '../../../parts/time.ts'
import { measuresOf } from '../../../parts/weight.tsx'
import bench from '../Bench.module.css'
import { Photographs } from './Photographs.tsx'
import css from './WrapUp.module.css'

/** What came out: flowers, time and icing as they were counted, the room, a word about the whole; and into the logbook with it. */
export function Result({ bench: { run, events, tally, note }, told }: { bench: Bench; told: WrappedUp }) {
  const { weight } = measuresOf(run.frozen.workshop.settings)
  const [now] = useState(() => localMoment(new Date()))
  const entry = logEntryOf(run, tally, events, now)
  const sum = summaryOf(entry)
  return (
    <section className={css.result} aria-label="What came out">
      <dl className={css.figures}>
        <Figure name="spoiled, as tapped">{sum.spoiled}</Figure>
        <Figure name="hands, as noted" note={`planned ${formatMinutes(entry.plannedMinutes ?? 0)}`}>
          {entry.minutes === null ? 'not noted' : formatMinutes(entry.minutes)}
        </Figure>
        <Figure name="left in bowls and bags" note={`of ${weight(run.frozen.plan.totals.mixedGrams)} mixed`}>
          {sum.leftGrams === null ? 'not told' : weight(sum.leftGrams)}
        </Figure>
        <Figure name="ran short">{sum.ranShort.length === 0 ? 'nothing' : sum.ranShort.join(', ')}</Figure>
      </dl>
      <div className={css.told}>
        <NumberText
          label="The room"
          unit="°C"
          width={150}
          decimals={1}
          value={told.roomC}
          onNumber={(roomC) =>
            checked(roomC, logEntrySchema.shape.roomC, told.roomC, (amount) =>
              note(WRAP_UP, 'room', { amount }),
            )
          }
        />
        <Remark remark={told.remark} tell={(words) => note(WRAP_UP, 'remark', { note: words })} />
      </div>
      <IntoLogbook entry={entry} />
      <Photographs entryId={run.id} />
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
          {entry.flowers.map((f) => (
            <tr key={`${f.name} ${f.piece} ${f.flowerId}`}>
              <td>{f.name}</td>
              <td>{f.piece}</td>
              <td>{f.wanted}</td>
              <td>{f.piped}</td>
              <td>{f.spoiled}</td>
              <td>{f.minutes === null ? '–' : Math.round(f.minutes)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}

function Figure(props: { name: string; note?: string; children: React.ReactNode }) {
  return (
    <div>
      <dt>{props.name}</dt>
      <dd className="figure">{props.children}</dd>
      {props.note && <dd className={css.quiet}>{props.note}</dd>}
    </div>
  )
}

/** A word about the whole; noted when the hand leaves it, not at every letter. */
function Remark({ remark, tell }: { remark: string; tell: (words: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null)
  return (
    <label className={css.remark}>
      A word about it
      <textarea
        maxLength={2000}
        rows={3}
        value={typed ?? remark}
        onChange={(e) => setTyped(e.currentTarget.value)}
        onBlur={() => {
          if (typed !== null && typed !== remark) tell(typed)
          setTyped(null)
        }}
      />
    </label>
  )
}

const sameButForTime = (a: LogEntry, b: LogEntry) => dequal({ ...a, at: '' }, { ...b, at: '' })

function IntoLogbook({ entry }: { entry: LogEntry }) {
  const { data, error } = useLogEntry(entry.id)
  const [busy, setBusy] = useState(false)
  const [trouble, setTrouble] = useState<string | null>(null)
  const there = data?.entry
  const same = there ? sameButForTime(there, entry) : false
  return (
    <div className={css.into}>
      <button
        type="button"
        className={`${bench.act} ${css.strong}`}
        disabled={busy || same || data === undefined}
        onClick={async () => {
          setBusy(true)
          setTrouble(null)
          try {
            await writeLogEntry(entry, data?.version ?? 0)
          } catch (failed) {
            setTrouble((failed as Error).message)
          }
          setBusy(false)
        }}
      >
        {there && !same ? 'Write the changes into the logbook' : 'Into the logbook'}
      </button>
      <span role="status">
        {same && 'It stands in the logbook.'}
        {error &&
          data === undefined &&
          'The server does not answer. What you told is kept on this tablet; come back when it does.'}
        {trouble}
      </span>
    </div>
  )
}
