import type { Plan } from '#core/model/plan'
import { quote } from '#core/plan/quote'
import { formatMinutes } from '#core/units'
import { useOrderEditor } from '../../../data/orderEditor.tsx'
import { Card } from '../../../parts/Card.tsx'
import { DataTable } from '../../../parts/DataTable.tsx'
import { useWeight } from '../../../parts/weight.tsx'

/** Icing, hands and money for each piece: what a quote can start from. */
export function Quote({ plan }: { plan: Plan }) {
  const { order, workshop } = useOrderEditor()
  const weight = useWeight()
  const { currency, hourlyRate } = workshop.settings
  const money = (value: number) => `${currency} ${value.toFixed(2)}`
  const rows = quote(order, plan, workshop.settings)
  const all = rows.reduce((sum, r) => sum + r.count * (r.ingredientsEach + r.labourEach), 0)
  return (
    <Card
      title="A base for a quote"
      aside={`${money(all)} for icing and its hands at ${money(hourlyRate)} an hour; cake, box and profit are yours to add`}
    >
      <DataTable
        caption="Each piece"
        rows={rows}
        rowKey={(r) => r.pieceId}
        columns={[
          { key: 'name', name: 'Piece', value: (r) => r.name, show: (r) => <strong>{r.name}</strong> },
          { key: 'count', name: 'How many', value: (r) => r.count, numeric: true },
          {
            key: 'grams',
            name: 'Icing on each',
            value: (r) => r.gramsEach,
            show: (r) => weight(r.gramsEach),
            numeric: true,
          },
          {
            key: 'minutes',
            name: 'Hands',
            value: (r) => r.minutesEach,
            show: (r) =>
              r.minutesEach < 10 ? `${r.minutesEach.toFixed(1)} min` : formatMinutes(r.minutesEach),
            numeric: true,
          },
          {
            key: 'ingredients',
            name: 'Ingredients',
            value: (r) => r.ingredientsEach,
            show: (r) => money(r.ingredientsEach),
            numeric: true,
          },
          {
            key: 'labour',
            name: 'Labour',
            value: (r) => r.labourEach,
            show: (r) => money(r.labourEach),
            numeric: true,
          },
          {
            key: 'each',
            name: 'Each',
            value: (r) => r.ingredientsEach + r.labourEach,
            show: (r) => <strong>{money(r.ingredientsEach + r.labourEach)}</strong>,
            numeric: true,
          },
        ]}
      />
    </Card>
  )
}
