import { Button, FileButton, Menu, TextInput } from '@mantine/core'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { Problem } from '#contract/problem'
import { toCsv } from '#core/files/csv'
import { logRows } from '#core/logbook/rows'
import { type LogSummary, summaryOf } from '#core/logbook/summary'
import type { LogEntry } from '#core/model/logEntry'
import { formatMinutes } from '#core/units'
import { ApiError } from '../../data/api.ts'
import { beginEntry, takeInLog, useLog } from '../../data/log.ts'
import { useOrders } from '../../data/orders.ts'
import { AskedMenu } from '../../parts/AskedMenu.tsx'
import { Card, PageHead } from '../../parts/Card.tsx'
import { today, useCalendar } from '../../parts/calendar.ts'
import { DataTable } from '../../parts/DataTable.tsx'
import { ImportFaults } from '../../parts/ImportFaults.tsx'
import { attempt, tell } from '../../parts/notify.tsx'
import { offerFile } from '../../parts/offer.ts'
import { PartLinks } from '../../parts/PartLinks.tsx'
import { Empty, Failed, Loading } from '../../parts/states.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { Over } from './Over.tsx'

const PARTS = [
  { to: '/logbook', end: true, name: 'Orders' },
  { to: '/logbook/over/flowers', end: true, name: 'Flowers' },
  { to: '/logbook/over/colours', end: true, name: 'Colours' },
  { to: '/logbook/over/people', end: true, name: 'People' },
  { to: '/logbook/over/learnt', end: true, name: 'Learnt' },
  { to: '/logbook/over/promises', end: true, name: 'Promises' },
]

/** Orders as they were made: planned against done, from the bench or typed by hand. */
export function Logbook() {
  const { over } = useParams()
  const [search, setSearch] = useState('')
  const { data, error } = useLog(search)
  const [refused, setRefused] = useState<{ file: string; problem: Problem } | null>(null)
  if (error && !data) return <Failed what="The logbook" error={error} />
  if (!data) return <Loading what="the logbook" />
  const entries = data.map((s) => s.entry)
  const rows = entries.map(summaryOf)

  async function takeIn(file: File | null) {
    if (!file) return
    try {
      const { added, known } = await takeInLog(await file.text())
      tell(`${added} entries are in${known > 0 ? `; ${known} were here already and stay as they are` : ''}.`)
    } catch (failed) {
      if (failed instanceof ApiError) setRefused({ file: file.name, problem: failed.problem })
      else tell((failed as Error).message)
    }
  }

  return (
    <>
      <PageHead
        title="Logbook"
        line="Orders as they were made: planned against done"
        actions={
          <>
            <TextInput
              aria-label="Look for"
              placeholder="order, person, colour, flower, a word"
              value={search}
              onChange={(e) => setSearch(e.currentTarget.value)}
              w={280}
            />
            <Files entries={entries} takeIn={takeIn} />
            <ByHand />
          </>
        }
      />
      <PartLinks label="Parts of the logbook" parts={PARTS} />
      <ImportFaults refused={refused} close={() => setRefused(null)} />
      {rows.length === 0 && over !== 'learnt' ? (
        <Empty title={search ? 'Nothing is found' : 'Nothing is written yet'}>
          {search
            ? 'Try fewer or other words.'
            : 'Wrapping up at the bench writes an entry; for an order that was made without the bench, write one by hand.'}
        </Empty>
      ) : over ? (
        <Over of={over} entries={entries} />
      ) : (
        <Card>
          <Entries rows={rows} />
        </Card>
      )}
    </>
  )
}

/** The logbook as files, and one taken in. */
function Files(props: { entries: readonly LogEntry[]; takeIn: (file: File | null) => void }) {
  const { entries, takeIn } = props
  const save = (text: string, type: string, name: string) => offerFile(new Blob([text], { type }), name)
  return (
    <AskedMenu position="bottom" button={<Button>Files…</Button>}>
      <Menu.Item onClick={() => save(toCsv(logRows(entries)), 'text/csv', 'logbook.csv')}>
        Save as CSV
      </Menu.Item>
      <Menu.Item
        onClick={() =>
          save(
            JSON.stringify({ format: 'kanten-logbook', schemaVersion: 1, entries }, null, 2),
            'application/json',
            'logbook.json',
          )
        }
      >
        Save as JSON
      </Menu.Item>
      <FileButton accept="application/json,.json" onChange={takeIn}>
        {(props) => <Menu.Item {...props}>Take a file in…</Menu.Item>}
      </FileButton>
    </AskedMenu>
  )
}

function Entries({ rows }: { rows: readonly LogSummary[] }) {
  const weight = useWeight()
  const { shortMoment } = useCalendar()
  return (
    <DataTable
      caption="Entries"
      rows={rows}
      rowKey={(r) => r.id}
      columns={[
        {
          key: 'title',
          name: 'Order',
          value: (r) => r.title,
          show: (r) => <Link to={`/logbook/${r.id}`}>{r.title}</Link>,
        },
        { key: 'at', name: 'Made', value: (r) => r.at, show: (r) => shortMoment(r.at) },
        { key: 'people', name: 'By', value: (r) => r.people.join(', ') },
        {
          key: 'minutes',
          name: 'Hands',
          numeric: true,
          value: (r) => r.minutes ?? -1,
          show: (r) => (r.minutes === null ? '–' : formatMinutes(r.minutes)),
        },
        {
          key: 'planned',
          name: 'planned',
          numeric: true,
          value: (r) => r.plannedMinutes ?? -1,
          show: (r) => (r.plannedMinutes === null ? '–' : formatMinutes(r.plannedMinutes)),
        },
        {
          key: 'left',
          name: 'Icing left',
          numeric: true,
          value: (r) => r.leftGrams ?? -1,
          show: (r) => (r.leftGrams === null ? '–' : weight(r.leftGrams)),
        },
        {
          key: 'mixed',
          name: 'of',
          numeric: true,
          value: (r) => r.plannedGrams,
          show: (r) => weight(r.plannedGrams),
        },
        { key: 'short', name: 'Ran short', value: (r) => r.ranShort.join(', ') },
        { key: 'spoiled', name: 'Spoiled', numeric: true, value: (r) => r.spoiled },
      ]}
    />
  )
}

/** An order that was made without the bench is written down by hand, beginning from its plan. */
function ByHand() {
  const navigate = useNavigate()
  const past = useOrders('past', today(), '')
  const coming = useOrders('coming', today(), '')
  const orders = [...(past.orders ?? []), ...(coming.orders ?? [])].slice(0, 30)
  return (
    <AskedMenu
      position="bottom"
      button={
        <Button variant="filled" disabled={orders.length === 0}>
          Write by hand…
        </Button>
      }
    >
      <Menu.Label>For which order?</Menu.Label>
      {orders.map((o) => (
        <Menu.Item
          key={o.id}
          onClick={async () => {
            const entry = await attempt(() => beginEntry(o.id))
            if (entry) navigate(`/logbook/${entry.id}`)
          }}
        >
          {o.title}
        </Menu.Item>
      ))}
    </AskedMenu>
  )
}
