import { overColours, overFlowers, overPeople } from '#core/logbook/over'
import { spoiledShare } from '#core/logbook/summary'
import type { LogEntry } from '#core/model/logEntry'
import { Card } from '../../parts/Card.tsx'
import { DataTable } from '../../parts/DataTable.tsx'
import { Dab } from '../../parts/Swatch.tsx'
import { useWeight } from '../../parts/weight.tsx'
import { Learnt } from './learnt/Learnt.tsx'
import { Promises } from './learnt/Promises.tsx'

const percent = (share: number | null) => (share === null ? '–' : `${Math.round(100 * share)} %`)

/** What the logbook says over all orders that are shown: of each flower, each colour, each person. */
export function Over({ of, entries }: { of: string; entries: readonly LogEntry[] }) {
  if (of === 'learnt') return <Learnt entries={entries} />
  if (of === 'promises') return <Promises entries={entries} />
  return (
    <Card>
      {of === 'flowers' ? (
        <Flowers entries={entries} />
      ) : of === 'colours' ? (
        <Colours entries={entries} />
      ) : (
        <People entries={entries} />
      )}
    </Card>
  )
}

function Flowers({ entries }: { entries: readonly LogEntry[] }) {
  const weight = useWeight()
  return (
    <DataTable
      caption="Flowers"
      rows={overFlowers(entries)}
      rowKey={(r) => r.name}
      columns={[
        { key: 'name', name: 'Flower', value: (r) => r.name },
        { key: 'orders', name: 'Orders', numeric: true, value: (r) => r.orders },
        { key: 'piped', name: 'Piped', numeric: true, value: (r) => r.piped },
        {
          key: 'spoiled',
          name: 'Spoiled',
          numeric: true,
          value: (r) => spoiledShare(r) ?? -1,
          show: (r) => `${r.spoiled}, ${percent(spoiledShare(r))}`,
        },
        {
          key: 'minutes',
          name: 'Minutes each',
          numeric: true,
          value: (r) => r.minutesEach ?? -1,
          show: (r) => (r.minutesEach === null ? '–' : r.minutesEach.toFixed(1)),
        },
        {
          key: 'grams',
          name: 'Weighed each',
          numeric: true,
          value: (r) => r.gramsEach ?? -1,
          show: (r) => (r.gramsEach === null ? '–' : weight(r.gramsEach)),
        },
      ]}
    />
  )
}

function Colours({ entries }: { entries: readonly LogEntry[] }) {
  const weight = useWeight()
  return (
    <DataTable
      caption="Colours"
      rows={overColours(entries)}
      rowKey={(r) => r.name}
      columns={[
        {
          key: 'name',
          name: 'Colour',
          value: (r) => r.name,
          show: (r) => (
            <>
              <Dab hex={r.hex} /> {r.name}
            </>
          ),
        },
        { key: 'orders', name: 'Orders', numeric: true, value: (r) => r.orders },
        {
          key: 'planned',
          name: 'Planned',
          numeric: true,
          value: (r) => r.plannedGrams,
          show: (r) => weight(r.plannedGrams),
        },
        {
          key: 'left',
          name: 'Left of it, where told',
          numeric: true,
          value: (r) => r.leftShare ?? -1,
          show: (r) => percent(r.leftShare),
        },
        {
          key: 'short',
          name: 'Ran short',
          numeric: true,
          value: (r) => r.short,
          show: (r) => (r.short === 0 ? 'never' : `${r.short} of ${r.orders}`),
        },
      ]}
    />
  )
}

function People({ entries }: { entries: readonly LogEntry[] }) {
  return (
    <DataTable
      caption="People"
      rows={overPeople(entries)}
      rowKey={(r) => r.name}
      columns={[
        { key: 'name', name: 'Who', value: (r) => r.name },
        { key: 'orders', name: 'Orders', numeric: true, value: (r) => r.orders },
        { key: 'piped', name: 'Piped in them', numeric: true, value: (r) => r.piped },
        {
          key: 'spoiled',
          name: 'Spoiled in them',
          numeric: true,
          value: (r) => spoiledShare(r) ?? -1,
          show: (r) => percent(spoiledShare(r)),
        },
        {
          key: 'pace',
          name: 'Hands for those planned',
          numeric: true,
          value: (r) => r.pace ?? -1,
          show: (r) => percent(r.pace),
        },
      ]}
    />
  )
}
