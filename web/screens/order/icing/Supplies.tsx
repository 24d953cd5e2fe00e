import type { Plan, Supply } from '#core/model/plan'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { useWeight } from '../../../parts/weight.tsx'

const kindWords: Record<Supply['kind'], string> = {
  tip: 'tip',
  coupler: 'coupler',
  bag: 'bag',
  nail: 'nail',
  square: 'parchment',
  ingredient: 'ingredient',
  setOn: 'put on',
  board: 'board',
  support: 'support',
  box: 'box',
}

/** What must be on hand for the order, and what of it must be bought. */
export function Supplies({ plan }: { plan: Plan }) {
  const { order, workshop } = useOrderEditor()
  const weight = useWeight()
  const inUnit = (s: Supply, value: number) => (s.unit === 'g' ? weight(value) : String(value))
  const amount = (s: Supply) => inUnit(s, s.needed)
  return (
    <DataTable
      caption="What must be on hand"
      long
      csvHref={`/api/orders/${order.id}/plan/supplies.csv`}
      rows={plan.supplies}
      rowKey={(s) => `${s.kind} ${s.id}`}
      columns={[
        { key: 'kind', name: 'Kind', value: (s) => kindWords[s.kind] },
        { key: 'name', name: 'What', value: (s) => s.name, show: (s) => <strong>{s.name}</strong> },
        { key: 'needed', name: 'Needed', value: (s) => s.needed, show: amount, numeric: true },
        {
          key: 'owned',
          name: 'On hand',
          value: (s) => s.owned ?? '',
          show: (s) => (s.owned === null ? '' : inUnit(s, s.owned)),
          numeric: true,
        },
        {
          key: 'short',
          name: 'Short',
          value: (s) => s.short,
          show: (s) =>
            s.short > 0 ? <strong>{inUnit(s, s.short)} short</strong> : s.owned === null ? '' : 'enough',
          numeric: true,
        },
        { key: 'packs', name: 'Packs to buy', value: (s) => s.packs ?? '', numeric: true },
        {
          key: 'cost',
          name: 'Cost of what is used',
          value: (s) => s.cost ?? '',
          show: (s) => (s.cost === null ? '' : `${workshop.settings.currency} ${s.cost.toFixed(2)}`),
          numeric: true,
        },
      ]}
    />
  )
}
